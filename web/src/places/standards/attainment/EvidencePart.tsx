import { Link } from "react-router";
import { TextButton } from "../../../parts/Button";
import { Mark } from "../../../parts/Mark";
import { MarginPart, Note } from "../../../parts/Sheet";
import { Loaded } from "../../../parts/States";
import { t } from "../../../text";
import { betweenShares, percent } from "../../../text/figures";
import { type Student, useEvidence } from "./useAttainment";

/** What an attainment rests on, question by question; of one student with the marks. */
export function EvidencePart({
  course,
  framework,
  code,
  student,
  onClose,
}: {
  course: string;
  framework: string;
  code: string;
  student: Student | null;
  onClose: () => void;
}) {
  const query = useEvidence(course, framework, code, student?.id ?? null);
  return (
    <MarginPart
      title={
        student
          ? t("What {{name}} has shown", { name: `${student.given} ${student.family}` })
          : t("What it rests on")
      }
    >
      <Loaded query={query}>
        {(view) => (
          <>
            {student && (
              <Note by="standard">
                <p>
                  <strong>{percent(view.percent)}</strong>{" "}
                  {view.level ?? (view.percent === null ? "" : t("too little to say"))}
                  {view.interval && ` · ${betweenShares(view.interval.low, view.interval.high)}`}
                </p>
                <p className="text-small">{view.because}</p>
                <p className="flex flex-wrap gap-x-4 text-small">
                  <TextButton className="min-h-6" onClick={onClose}>
                    {t("Back to all students")}
                  </TextButton>
                  <a
                    href={`/api/courses/${course}/student-reports?framework=${framework}&student=${student.id}`}
                    className="min-h-6 underline underline-offset-2"
                  >
                    {t("Report to print")}
                  </a>
                </p>
              </Note>
            )}
            {view.papers.map((p) => (
              <section key={p.assessment} className="mb-2">
                <p>
                  <Link
                    to={
                      p.attempt
                        ? `/gradebook/${course}?cell=${p.attempt}`
                        : `/a/${p.assessment}/examine?item=${p.questions[0]?.item ?? ""}&answers=1`
                    }
                    className="font-script underline underline-offset-2"
                  >
                    {p.title}
                  </Link>{" "}
                  {p.percent !== null && <strong>{percent(p.percent)}</strong>}
                </p>
                <ul className="text-small">
                  {p.questions.map((q) => (
                    <li key={q.item} className="flex gap-2">
                      <strong>{q.number}</strong>
                      <span className="min-w-0 flex-1 font-script">{q.prompt}</span>
                      {q.mark && <Mark mark={q.mark} />}
                    </li>
                  ))}
                </ul>
              </section>
            ))}
            {view.papers.length === 0 && <p className="text-small text-soft">{t("No evidence yet.")}</p>}
          </>
        )}
      </Loaded>
    </MarginPart>
  );
}
