import { Link, useSearchParams } from "react-router";
import type { Schemas } from "../../../api/client";
import { Button, TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Trouble } from "../../../parts/States";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { digitsOf } from "../digits";
import { withQuestion, withWay } from "../pile";
import type { Change } from "../reading";
import { useExamples } from "./useExamples";

type Question = Schemas["OpenQuestion"];

/** The agreed examples at hand; whoever teaches makes the answer on the page one of them. */
export function Examples({
  assessment,
  question,
  answer,
  change,
  names,
  mayAgree,
}: {
  assessment: string;
  question: Question;
  answer: Schemas["ReadAnswer"];
  change: Change;
  names: boolean;
  mayAgree: boolean;
}) {
  const { examples, keep, remove, error } = useExamples(assessment, question.item);
  const [params] = useSearchParams();
  const [why, setWhy] = useTyped(`example:${assessment}:${question.item}`, "");
  const whole = question.criteria.every((c) => change.levels[c.id] !== undefined);
  if (question.criteria.length === 0 || (examples.length === 0 && !mayAgree)) {
    return null;
  }
  const practice = withWay(withQuestion(params, question.item), "practice");
  return (
    <details className="mb-4 text-small">
      <summary className="mb-1 min-h-6 cursor-pointer text-soft">
        {examples.length === 0
          ? t("Agreed examples")
          : t("{{count}} agreed examples", { count: examples.length })}
      </summary>
      {examples.length > 0 && (
        <p className="mb-1">
          <Link className="underline" to={{ search: practice.toString() }}>
            {t("Practise on them")}
          </Link>
        </p>
      )}
      <ol>
        {examples.map((e) => (
          <li key={e.id} className="border-t border-rule py-1">
            <strong>{digitsOf(e.levels, question).join(" · ")}</strong>{" "}
            {t("{{got}} of {{of}}", { got: points(e.points), of: points(question.points) })}
            {mayAgree && (
              <>
                {" "}
                <TextButton
                  className="min-h-6"
                  aria-label={t("Remove this example: {{text}}", { text: e.text.slice(0, 60) })}
                  onClick={() => remove.mutate(e.id)}
                >
                  {t("Remove")}
                </TextButton>
              </>
            )}
            <p className="font-script whitespace-pre-wrap">{e.text}</p>
            {e.why && <p className="text-soft">{e.why}</p>}
          </li>
        ))}
      </ol>
      {mayAgree && (
        <div className="mt-2 border-t border-rule pt-2">
          <Field
            label={t("Why it is worth that, for those who read")}
            value={why}
            maxLength={500}
            onChange={(e) => setWhy(e.target.value)}
          />
          <Button
            className="mt-1"
            disabled={!whole || keep.isPending}
            onClick={() =>
              keep.mutate(
                { answer: answer.answer, names, levels: change.levels, why },
                { onSuccess: () => setWhy("") },
              )
            }
          >
            {t("Make this answer an example")}
          </Button>
          {!whole && <p className="text-soft">{t("Choose a level for each criterion first.")}</p>}
        </div>
      )}
      <Trouble error={error} />
    </details>
  );
}
