import type { Schemas } from "../../api/client";
import { t } from "../../text";

/** What was asked, above all that is read of it. */
export function QuestionHead({ question }: { question: Schemas["OpenQuestion"] }) {
  return (
    <div className="flex gap-4 border-b border-rule px-6 py-3">
      <h2 className="shrink-0 font-semibold">{t("Question {{n}}", { n: question.number })}</h2>
      <p className="font-script">{question.prompt}</p>
    </div>
  );
}
