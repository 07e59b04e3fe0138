import type { ReactNode } from "react";
import type { Schemas } from "../api/client";
import { t } from "../text";
import { Maths } from "./Maths";
import { fileUrl } from "./upload";

type View = Schemas["AnswerView"];
type Piece = Schemas["AnswerPiece"];

/** An answer as its student gave it: blanks in their sentence, pairs as pairs, lines of a working one below another. */
export function GivenAnswer({
  given,
  picture,
  alt,
  children,
}: {
  given: View | null;
  /** The picture on which places were shown. */
  picture?: string | null | undefined;
  alt?: string | null | undefined;
  /** The answer in plain words, for where there is nothing to lay out. */
  children: ReactNode;
}) {
  switch (given?.shape) {
    case "FORMULA":
      return <Line piece={given.pieces[0]} otherwise={children} />;
    case "SENTENCE":
      return (
        <span>
          {given.pieces.map((p, i) => (
            <span key={i}>
              {p.at}
              {p.filled && (
                <span className="border-b-2 border-ink px-1 font-semibold">
                  {p.said || <span className="font-normal text-soft">{t("blank")}</span>}
                </span>
              )}
            </span>
          ))}
        </span>
      );
    case "PAIRS":
      return (
        <span className="grid w-fit grid-cols-[auto_auto_auto] gap-x-3">
          {given.pieces.map((p, i) => (
            <span key={i} className="contents">
              <span>{p.at}</span>
              <span aria-hidden="true">→</span>
              <span>{p.said}</span>
            </span>
          ))}
        </span>
      );
    case "IN_TURN":
    case "LINES":
      return (
        <span className="block">
          {given.pieces.map((p, i) => (
            <span key={i} className="block">
              <span className="mr-3 font-sans text-small text-soft">{i + 1}</span>
              <Line piece={p} otherwise={p.said} />
            </span>
          ))}
        </span>
      );
    case "PLACES":
      return picture ? (
        <span className="relative inline-block max-w-60 align-top">
          <img src={fileUrl(picture)} alt={alt ?? ""} className="block w-full" />
          {given.pieces.map((p, i) => (
            <span
              key={i}
              aria-hidden="true"
              className="absolute flex size-5 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 border-ink bg-sheet/80 font-sans text-small font-semibold"
              style={{ left: `${Number(p.at) * 100}%`, top: `${Number(p.said) * 100}%` }}
            >
              {i + 1}
            </span>
          ))}
          <span className="sr-only">{children}</span>
        </span>
      ) : (
        children
      );
    default:
      return children;
  }
}

/** A formula as it is printed; as it was typed where it cannot be read. */
function Line({ piece, otherwise }: { piece: Piece | undefined; otherwise: ReactNode }) {
  return piece?.latex ? (
    <>
      <Maths latex={piece.latex} />
      <span className="ml-3 font-sans text-small text-soft">{piece.said}</span>
    </>
  ) : (
    otherwise
  );
}

/** A text with the stretches marked that it has otherwise than another one. */
export function Letters({ letters }: { letters: Schemas["Stretch"][] }) {
  return letters.map((s, i) => (
    <span key={i} className={s.same ? "" : "underline decoration-2 underline-offset-4"}>
      {s.text}
    </span>
  ));
}
