import { useState } from "react";
import type { Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { useKeys } from "../../../parts/Keys";
import { Sheet } from "../../../parts/Sheet";
import { Empty } from "../../../parts/States";
import { t } from "../../../text";
import { AnswerText } from "../AnswerText";
import { CriterionBox } from "../CriterionBox";
import { digitsOf, useDigits } from "../digits";
import { QuestionHead } from "../QuestionHead";
import { Ways } from "../Ways";
import { sameLevels } from "./practice";
import { useExamples } from "./useExamples";

type Levels = Record<string, string>;

/** The agreed examples without what was agreed: one reads them, then sees it. Nothing of it is kept. */
export function Practice({
  assessment,
  question,
}: {
  assessment: string;
  question: Schemas["OpenQuestion"];
}) {
  const { examples } = useExamples(assessment, question.item);
  const [done, setDone] = useState<Levels[]>([]);
  const [levels, setLevels] = useState<Levels>({});
  const [shown, setShown] = useState(false);
  const example = examples[done.length];
  const whole = question.criteria.every((c) => levels[c.id] !== undefined);
  const { focus, setFocus, keys } = useDigits(question, (criterion, level) => {
    if (!shown) {
      setLevels({ ...levels, [criterion]: level });
    }
  });
  const goOn = () => {
    if (!whole) {
      return;
    }
    if (!shown) {
      setShown(true);
      return;
    }
    setDone([...done, levels]);
    setLevels({});
    setShown(false);
    setFocus(0);
  };
  useKeys([...keys, ["Enter", t("compare, then the next example"), goOn]]);
  const agreed = examples.map((e) => e.levels);
  const soFar = sameLevels(shown ? [...done, levels] : done, agreed, question);
  return (
    <Sheet
      margin={
        example ? (
          <>
            <h2 className="mb-2 text-small font-semibold text-soft">{t("Rubric")}</h2>
            {question.criteria.map((c, i) => (
              <CriterionBox
                key={c.id}
                criterion={c}
                here={i === focus}
                chosen={levels[c.id]}
                onFocus={() => setFocus(i)}
                onChoose={(level) => !shown && setLevels({ ...levels, [c.id]: level })}
              />
            ))}
          </>
        ) : null
      }
    >
      <QuestionHead question={question} />
      <Ways />
      <div className="px-6 py-4">
        <p className="mb-3" role="status">
          {soFar.of > 0 &&
            t("So far you chose the agreed level on {{same}} of {{of}} criteria.", { ...soFar })}
          {soFar.of === 0 && t("Read these as you would read answers. Nothing of it is kept.")}
        </p>
        {example ? (
          <>
            <p className="mb-2 text-small">
              <strong>{t("example {{n}} of {{all}}", { n: done.length + 1, all: examples.length })}</strong>
            </p>
            <AnswerText
              text={example.text}
              remarks={[]}
              slips={[]}
              chosen={null}
              onChoose={() => {}}
              onRemark={() => {}}
            />
            {shown && (
              <p className="mt-3 border-l-3 border-by-person bg-by-person-wash px-3 py-2">
                {t("Agreed: {{agreed}}. Yours: {{own}}.", {
                  agreed: digitsOf(example.levels, question).join(" · "),
                  own: digitsOf(levels, question).join(" · "),
                })}{" "}
                {example.why}
              </p>
            )}
            <p className="mt-4">
              <Button look="strong" hotkey="Enter" disabled={!whole} onClick={goOn}>
                {shown ? t("Next example") : t("Compare with what was agreed")}
              </Button>
            </p>
          </>
        ) : (
          <Empty title={examples.length === 0 ? t("No examples yet.") : t("These were all examples.")}>
            {examples.length === 0
              ? t("A teacher makes an answer an example beside the rubric.")
              : t("Go on with the pile, or look at the examples beside the rubric.")}
          </Empty>
        )}
      </div>
    </Sheet>
  );
}
