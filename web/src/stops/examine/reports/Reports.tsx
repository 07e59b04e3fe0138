import { useState } from "react";
import { Sheet } from "../../../parts/Sheet";
import { t } from "../../../text";
import { useHeader, useWhere } from "../../Assessment";
import { ExamineViews } from "../ExamineViews";

const TABLES: { what: string; name: string; says: string }[] = [
  {
    what: "WORKBOOK",
    name: "All tables as a workbook (XLSX)",
    says: "Scores, marks and answers, each on its sheet, with numbers as numbers.",
  },
  {
    what: "SCORES",
    name: "Scores (CSV)",
    says: "One row for each student: score, percentage, band, passed, percentile, how many questions were answered, points by part.",
  },
  {
    what: "MARKS",
    name: "Marks (CSV)",
    says: "One row for each student, one column for each question, in points.",
  },
  {
    what: "ANSWERS",
    name: "Answers (CSV)",
    says: "One row for each student and question: the answer in full, its mark, why, and who decided.",
  },
  {
    what: "RESPONSES",
    name: "Responses (JSON lines)",
    says: "The answers as they are scored from a shell, with what was read by hand.",
  },
];

/** What can be printed, downloaded and shared of a paper. */
export function Reports() {
  const { assessment, section } = useWhere();
  const header = useHeader(assessment, section).data;
  const [names, setNames] = useState(true);
  const query = `?names=${names}${section ? `&section=${section}` : ""}`;
  const students = header ? `/api/courses/${header.course}/student-reports` : null;
  return (
    <Sheet margin={null}>
      <ExamineViews />
      <section aria-label={t("Reports and tables")} className="px-6 py-4">
        <p className="flex min-h-8 items-center gap-2">
          <input
            id="with-names"
            type="checkbox"
            checked={names}
            onChange={(e) => setNames(e.target.checked)}
            className="size-4"
          />
          <label htmlFor="with-names">{t("With students’ names")}</label>
        </p>
        {!names && (
          <p className="text-small text-soft">
            {t(
              "Students are called “student 1”, “student 2” and so on, in no order that tells who they are. What students wrote is in the answers as they wrote it.",
            )}
          </p>
        )}
        <h2 className="mt-4 text-small font-semibold text-soft">{t("To print")}</h2>
        <ul>
          <Out
            href={`/api/assessments/${assessment}/report${query}`}
            name={t("Report of this paper (PDF)")}
            says={t("Figures, distribution, questions and what should be looked at, for a department.")}
          />
          {students && names && (
            <Out
              href={`${students}${section ? `?section=${section}` : ""}`}
              name={t("A report for each student (PDF)")}
              says={t(
                "What each student can do and all assessments of the course, one page each, for those at home.",
              )}
            />
          )}
        </ul>
        <h2 className="mt-4 text-small font-semibold text-soft">{t("To download")}</h2>
        <ul>
          {TABLES.map((table) => (
            <Out
              key={table.what}
              href={`/api/assessments/${assessment}/tables/${table.what}${query}`}
              name={t(table.name)}
              says={t(table.says)}
            />
          ))}
        </ul>
        <p className="mt-4 text-small text-soft">
          {t(
            "Everything has the figures of the screen at this moment. A cell that begins like a formula is made harmless.",
          )}
        </p>
      </section>
    </Sheet>
  );
}

function Out({ href, name, says }: { href: string; name: string; says: string }) {
  return (
    <li className="border-b border-rule py-2">
      <a href={href} className="inline-block min-h-6 font-semibold underline underline-offset-2">
        {name}
      </a>
      <span className="block text-small text-soft">{says}</span>
    </li>
  );
}
