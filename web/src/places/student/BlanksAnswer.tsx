import type { Schemas } from "../../api/client";
import { pieces } from "../../stops/key/kinds/blanks";
import { t } from "../../text";
import { AnswerField } from "./AnswerField";

type Item = Schemas["PaperItem"];
type Said = Record<string, unknown>;

/** The sentence with its blanks where they stand; blanks that have no place in it follow below. */
export function BlanksAnswer({
  item,
  said,
  onSaid,
}: {
  item: Item;
  said: Said;
  onSaid: (said: Said) => void;
}) {
  const cut = pieces(
    item.prompt,
    item.parts.map((p) => p.id),
  );
  const placed = cut.flatMap((piece) => (typeof piece === "string" ? [] : [piece.blank]));
  const say = (id: string, answer: unknown) => onSaid({ ...said, [id]: answer });
  return (
    <>
      {placed.length > 0 && (
        <p className="font-script text-[1.125rem] leading-[2.6]">
          {cut.map((piece, i) =>
            typeof piece === "string" ? (
              <span key={i} className="whitespace-pre-wrap">
                {piece}
              </span>
            ) : (
              <Blank
                key={piece.blank}
                part={item.parts.find((p) => p.id === piece.blank) as Item}
                number={placed.indexOf(piece.blank) + 1}
                answer={said[piece.blank]}
                onAnswer={(a) => say(piece.blank, a)}
              />
            ),
          )}
        </p>
      )}
      {item.parts
        .filter((p) => !placed.includes(p.id))
        .map((part, i) => (
          <fieldset key={part.id} className="mb-4">
            <legend className="mb-1 text-small text-soft">
              {part.prompt || t("Blank {{n}}", { n: placed.length + i + 1 })}
            </legend>
            <AnswerField item={part} answer={said[part.id]} onAnswer={(a) => say(part.id, a)} />
          </fieldset>
        ))}
    </>
  );
}

const FIELD = "mx-1 min-h-11 rounded-corner border border-ink bg-sheet px-2 font-script text-[1.125rem]";

function Blank({
  part,
  number,
  answer,
  onAnswer,
}: {
  part: Item;
  number: number;
  answer: unknown;
  onAnswer: (answer: unknown) => void;
}) {
  const label = t("Blank {{n}}", { n: number });
  if (part.kind === "choice") {
    return (
      <select
        aria-label={label}
        className={FIELD}
        value={Array.isArray(answer) ? String(answer[0] ?? "") : ""}
        onChange={(e) => onAnswer(e.target.value ? [e.target.value] : [])}
      >
        <option value="">…</option>
        {part.options.map((o) => (
          <option key={o.id} value={o.id}>
            {o.text || o.id}
          </option>
        ))}
      </select>
    );
  }
  return (
    <input
      aria-label={label}
      value={typeof answer === "string" ? answer : ""}
      size={12}
      autoCapitalize="off"
      autoComplete="off"
      spellCheck={false}
      inputMode={part.kind === "number" && !part.withUnit ? "decimal" : "text"}
      className={FIELD}
      onChange={(e) => onAnswer(e.target.value)}
    />
  );
}
