import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Rich } from "../../parts/Rich";
import { pieces } from "../../stops/key/kinds/blanks";
import { t } from "../../text";

type Item = Schemas["PaperItem"];

/** What is asked: formatted where the teacher formatted it. A sentence with blanks is asked where they are filled in. */
export function Asked({ item }: { item: Item }) {
  const inline =
    item.kind === "blanks" &&
    pieces(
      item.prompt,
      item.parts.map((p) => p.id),
    ).some((piece) => typeof piece !== "string");
  return (
    <>
      {inline ? (
        <h2 className="my-3 text-small text-soft">{t("Fill in the blanks.")}</h2>
      ) : (
        <h2 className="my-3 font-script text-[1.25rem] leading-snug">
          {item.body ? <Rich html={item.body} /> : <span className="whitespace-pre-wrap">{item.prompt}</span>}
        </h2>
      )}
      {item.criteria.length > 0 && (
        <details className="mb-3">
          <summary className="min-h-8 text-small underline">{t("How this answer will be marked")}</summary>
          {item.criteria.map((c) => (
            <div key={c.title} className="mt-2">
              <strong>{c.title}</strong>
              <ol className="list-decimal pl-6 text-small">
                {c.levels.map((level) => (
                  <li key={level}>{level}</li>
                ))}
              </ol>
            </div>
          ))}
        </details>
      )}
    </>
  );
}

/** The passage that several questions share; it can be folded away. */
export function Passage({ item }: { item: Item }) {
  return (
    <details open className="my-3 border-l-3 border-rule pl-3">
      <summary className="min-h-8 text-small text-soft">{t("Reading passage")}</summary>
      <div className="font-script text-words">
        {item.body ? <Rich html={item.body} /> : <p className="whitespace-pre-wrap">{item.prompt}</p>}
      </div>
    </details>
  );
}

export function Hint({ hint }: { hint: string }) {
  const [open, setOpen] = useState(false);
  if (!hint) {
    return null;
  }
  return open ? (
    <p className="mt-4 border-l-3 border-rule pl-3 font-script">{hint}</p>
  ) : (
    <button type="button" className="mt-4 min-h-11 text-small underline" onClick={() => setOpen(true)}>
      {t("Show a hint")}
    </button>
  );
}
