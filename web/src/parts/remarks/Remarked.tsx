import { Fragment } from "react";
import type { Schemas } from "../../api/client";
import { t } from "../../text";
import { pieces } from "./pieces";

type Remark = Schemas["Remark"];

/** A whole answer with what its reader says of single words: short marks in their place, comments numbered below. */
export function Remarked({ text, remarks }: { text: string; remarks: Remark[] }) {
  const comments = remarks.filter((r) => !r.brief);
  return (
    <>
      <p className="font-script text-words break-words whitespace-pre-wrap">
        {pieces({ from: 0, to: text.length }, remarks).map((piece) => {
          const words = text.slice(piece.from, piece.to);
          const ending = piece.on
            .map((i) => remarks[i] as Remark)
            .filter((r) => Math.min(r.to, text.length) === piece.to);
          return (
            <Fragment key={piece.from}>
              {piece.on.length === 0 ? (
                words
              ) : (
                <mark className="bg-by-person-wash text-ink underline decoration-by-person decoration-2 underline-offset-4">
                  {words}
                </mark>
              )}
              {ending.map((r) =>
                r.brief ? (
                  <Sign key={`${r.from}${r.text}`} text={r.text} />
                ) : (
                  <sup key={`${r.from}${r.text}`} className="font-sans font-semibold text-by-person">
                    {comments.indexOf(r) + 1}
                  </sup>
                ),
              )}
            </Fragment>
          );
        })}
      </p>
      <SaidOfWords text={text} comments={comments} />
    </>
  );
}

/** What is said of single words; with the words where the answer may be shown. */
export function SaidOfWords({ text, comments }: { text: string | null; comments: Remark[] }) {
  if (comments.length === 0) {
    return null;
  }
  return (
    <ol className="mt-1 text-small" aria-label={t("Comments on words of your answer")}>
      {comments.map((r, i) => (
        <li key={`${r.from} ${r.text}`} className="border-l-2 border-by-person py-0.5 pl-2">
          <strong className="text-by-person">{i + 1}</strong>{" "}
          {text !== null && <q className="font-script text-soft">{text.slice(r.from, r.to)}</q>} {r.text}
        </li>
      ))}
    </ol>
  );
}

/** A short mark. */
export function Sign({ text }: { text: string }) {
  return (
    <span className="mx-1 inline-block rounded-corner border border-by-person px-1 font-sans text-small leading-tight font-semibold text-by-person">
      {text}
    </span>
  );
}
