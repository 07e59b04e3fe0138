import type { Schemas } from "../../api/client";
import { MathsField } from "../../parts/MathsField";
import { t } from "../../text";
import { BOX, CorrectionAnswer, OrderAnswer, PairsAnswer, WorkingAnswer } from "./AnswerKinds";
import { BlanksAnswer } from "./BlanksAnswer";
import { afterTouch } from "./chosen";
import { OpenAnswer } from "./open/OpenAnswer";
import { answerOf, writtenOf } from "./open/written";
import { SpotAnswer } from "./SpotAnswer";

/** Where the answer to one question is given, by its kind. */
export function AnswerField({
  item,
  answer,
  onAnswer,
}: {
  item: Schemas["PaperItem"];
  answer: unknown;
  onAnswer: (answer: unknown) => void;
}) {
  switch (item.kind) {
    case "choice":
      return <Choices item={item} chosen={Array.isArray(answer) ? answer : []} onChosen={onAnswer} />;
    case "open":
      return <OpenAnswer item={item} said={writtenOf(answer)} onSaid={(w) => onAnswer(answerOf(w))} />;
    case "working":
      return <WorkingAnswer item={item} lines={Array.isArray(answer) ? answer : []} onLines={onAnswer} />;
    case "correction":
      return (
        <CorrectionAnswer item={item} text={typeof answer === "string" ? answer : ""} onText={onAnswer} />
      );
    case "pairs":
      return <PairsAnswer item={item} pairs={Array.isArray(answer) ? answer : []} onPairs={onAnswer} />;
    case "order":
      return <OrderAnswer item={item} ids={Array.isArray(answer) ? answer : []} onIds={onAnswer} />;
    case "blanks":
      return <BlanksAnswer item={item} said={parts(answer)} onSaid={onAnswer} />;
    case "spot":
      return <SpotAnswer item={item} points={Array.isArray(answer) ? answer : []} onPoints={onAnswer} />;
    case "formula":
      return (
        <MathsField
          label={t("Your answer")}
          value={typeof answer === "string" ? answer : ""}
          placeholder={t("Type it like this: 2x(x+3), x², √2, 3/4")}
          onChange={onAnswer}
        />
      );
    case "text":
    case "number":
      return (
        <>
          <input
            aria-label={t("Your answer")}
            value={typeof answer === "string" ? answer : ""}
            inputMode={item.kind === "number" && !item.withUnit ? "decimal" : "text"}
            autoCapitalize="off"
            autoComplete="off"
            spellCheck={false}
            className={BOX}
            onChange={(e) => onAnswer(e.target.value)}
          />
          {item.kind === "number" && (
            <p className="mt-1 text-small text-soft">
              {item.withUnit ? t("Type a number and its unit.") : t("Type a number.")}
            </p>
          )}
        </>
      );
    default:
      return null;
  }
}

function parts(answer: unknown): Record<string, unknown> {
  return answer !== null && typeof answer === "object" && !Array.isArray(answer)
    ? (answer as Record<string, unknown>)
    : {};
}

function Choices({
  item,
  chosen,
  onChosen,
}: {
  item: Schemas["PaperItem"];
  chosen: string[];
  onChosen: (chosen: string[]) => void;
}) {
  const several = item.max > 1;
  return (
    <fieldset>
      <legend className="sr-only">{item.prompt}</legend>
      {item.options.map((o, i) => (
        <label
          key={o.id}
          className={`flex min-h-12 cursor-pointer items-center gap-3 border-b border-rule px-2 py-2 has-focus-visible:outline-2 ${chosen.includes(o.id) ? "bg-by-rule-wash" : ""}`}
        >
          <input
            type={several ? "checkbox" : "radio"}
            name={item.id}
            className="size-5 accent-ink"
            checked={chosen.includes(o.id)}
            onChange={() => onChosen(afterTouch(chosen, o.id, item.max))}
          />
          <span className="font-script text-words">{o.text || String.fromCharCode(65 + i)}</span>
        </label>
      ))}
      <p className="mt-2 text-small text-soft">
        {several ? t("Choose up to {{n}}.", { n: item.max }) : t("Choose one.")}
        {chosen.length > 0 && (
          <button type="button" className="ml-3 min-h-8 underline" onClick={() => onChosen([])}>
            {t("Clear my choice, Remove")}
          </button>
        )}
      </p>
    </fieldset>
  );
}
