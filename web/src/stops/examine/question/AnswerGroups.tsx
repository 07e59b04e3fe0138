import { useState } from "react";
import { Link } from "react-router";
import { TextButton } from "../../../parts/Button";
import { GivenAnswer } from "../../../parts/GivenAnswer";
import { Mark } from "../../../parts/Mark";
import { t } from "../../../text";
import { figure, share } from "../../../text/figures";
import { useHeader, useWhere } from "../../Assessment";
import type { QuestionView } from "./useQuestion";

const FIRST = 12;

/** The answers by frequency, in full, with what each got and who gave it. */
export function AnswerGroups({ view }: { view: QuestionView }) {
  const { assessment, section } = useWhere();
  const course = useHeader(assessment, section).data?.course;
  const [all, setAll] = useState(false);
  if (view.groups.length === 0) {
    return null;
  }
  const shown = all ? view.groups : view.groups.slice(0, FIRST);
  return (
    <div>
      <table className="w-full">
        <caption className="sr-only">{t("Answers, the most frequent first")}</caption>
        <thead>
          <tr className="border-b border-rule text-left text-small text-soft">
            <th scope="col" className="py-1 font-normal">
              {t("answer")}
            </th>
            <th scope="col" className="w-24 font-normal">
              {t("mark")}
            </th>
            <th scope="col" className="w-20 text-right font-normal">
              {t("students")}
            </th>
            <th scope="col" className="w-24 text-right font-normal">
              {t("upper third")}
            </th>
            <th scope="col" className="w-24 text-right font-normal">
              {t("lower third")}
            </th>
            <th scope="col" className="w-28 text-right font-normal">
              {t("r with the rest")}
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((g) => (
            <tr key={g.form} className="border-b border-rule align-top">
              <th
                scope="row"
                className="max-w-96 py-1.5 pr-4 text-left font-script font-normal wrap-anywhere"
              >
                <GivenAnswer given={g.given} picture={view.picture} alt={view.alt}>
                  <span className="whitespace-pre-wrap">{g.shown}</span>
                </GivenAnswer>
                {course && (
                  <Link
                    to={`/gradebook/${course}?cell=${g.attempt}`}
                    className="ml-2 font-sans text-small whitespace-nowrap underline underline-offset-2"
                  >
                    {t("whole copy")}
                  </Link>
                )}
              </th>
              <td className="py-1.5">
                {g.points === null ? (
                  <span className="text-small text-soft">{t("different marks")}</span>
                ) : (
                  <Mark mark={{ state: g.state, points: g.points, of: view.points, by: "" }} />
                )}
              </td>
              <td className="py-1.5 text-right">{g.figures.count}</td>
              <td className="py-1.5 text-right">{share(g.figures.upper.value)}</td>
              <td className="py-1.5 text-right">{share(g.figures.lower.value)}</td>
              <td className="py-1.5 text-right" title={g.figures.optionRest.missing ?? undefined}>
                {figure(g.figures.optionRest.value)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 flex flex-wrap gap-x-4 text-small">
        {view.groups.length > FIRST && (
          <TextButton className="min-h-6" onClick={() => setAll(!all)}>
            {all ? t("Show fewer") : t("Show all {{count}} answers", { count: view.groups.length })}
          </TextButton>
        )}
        {view.different > view.groups.length && (
          <span className="text-soft">
            {t("The {{n}} most frequent of {{all}} are listed.", {
              n: view.groups.length,
              all: view.different,
            })}
          </span>
        )}
        {view.kind !== "open" && (
          <Link to={`/a/${assessment}/settle`} className="min-h-6 underline underline-offset-2">
            {t("Decide an answer in Settle")}
          </Link>
        )}
      </p>
    </div>
  );
}
