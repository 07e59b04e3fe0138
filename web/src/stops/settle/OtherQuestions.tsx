import type { Schemas } from "../../api/client";
import { t } from "../../text";

/** Other questions of the paper, each with the first of its answers. */
export function OtherQuestions({
  title,
  questions,
  onChoose,
}: {
  title: string;
  questions: Schemas["QuestionDoubts"][];
  onChoose: (item: string) => void;
}) {
  if (questions.length === 0) {
    return null;
  }
  return (
    <section aria-label={title} className="px-6 py-5">
      <h3 className="mb-1 text-small font-semibold text-soft">{title}</h3>
      <ul>
        {questions.map((q) => (
          <li key={q.item} className="border-b border-rule">
            <button
              type="button"
              onClick={() => onChoose(q.item)}
              className="flex w-full gap-6 py-1.5 text-left"
            >
              <span className={`w-8 font-semibold ${q.waiting > 0 ? "text-waiting" : "text-by-person"}`}>
                {q.waiting > 0 ? q.answers - q.settled : q.decidings}
              </span>
              <span>
                {t("Question {{n}}", { n: q.number })} ·{" "}
                <span className="font-script">
                  {(q.waiting > 0 ? q.groups : q.decided)
                    .slice(0, 4)
                    .map((g) => g.shown)
                    .join(", ")}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
