import { useSearchParams } from "react-router";
import type { Schemas } from "../../../api/client";
import { Button, TextButton } from "../../../parts/Button";
import { Sheet } from "../../../parts/Sheet";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { useHeader } from "../../Assessment";
import { unread } from "../afterReading";
import { withNames } from "../pile";
import { Ways } from "../Ways";
import { Cell } from "./Cell";
import { nextUnread } from "./cells";
import { highest } from "./typedReading";

type View = Schemas["ReadView"];

/** Students by open questions: readings that were made on paper are typed in, cell after cell. */
export function QuickEntry({
  assessment,
  view,
  queryKey,
  names,
  onFrom,
}: {
  assessment: string;
  view: View;
  queryKey: unknown[];
  names: boolean;
  onFrom: (place: number) => void;
}) {
  const [params, setParams] = useSearchParams();
  const mayName = useHeader(assessment, null).data?.share === "ALL";
  const students = [...new Set(view.answers.map((a) => a.student))];
  const left = view.answers.filter(unread).length;
  const toggleNames = () => setParams(withNames(params, !names), { replace: true });
  return (
    <Sheet
      margin={
        <>
          <h2 className="mb-2 text-small font-semibold text-soft">{t("What a cell takes")}</h2>
          <dl className="text-small">
            {view.questions.map((q) => (
              <div key={q.item} className="mb-3">
                <dt className="font-semibold">{t("Question {{n}}", { n: q.number })}</dt>
                <dd>
                  {q.criteria.length === 0
                    ? t("points from 0 to {{max}}", { max: points(q.points) })
                    : t("a digit for each criterion, up to {{highest}}: {{criteria}}", {
                        highest: highest(q),
                        criteria: q.criteria.map((c) => c.title).join(", "),
                      })}
                </dd>
              </div>
            ))}
          </dl>
          <p className="text-small text-soft">
            {t(
              "Enter saves and goes to the next unread cell, the arrows up and down to the one above or below, Tab to the one beside. What is typed and not saved stays on this device.",
            )}
          </p>
        </>
      }
    >
      <h2 className="sr-only">{t("Quick entry")}</h2>
      <Ways />
      <p className="flex flex-wrap items-baseline gap-4 px-6 py-3 text-small" role="status">
        {left === 0 ? t("Nothing here is unread.") : t("{{count}} cells here are unread.", { count: left })}
        {mayName && (
          <TextButton onClick={toggleNames}>{names ? t("Hide names") : t("Show names")}</TextButton>
        )}
        {left > 0 && <TextButton onClick={() => nextUnread(null)}>{t("Go to the next unread")}</TextButton>}
      </p>
      <div className="overflow-x-auto px-6 pb-6">
        <table>
          <thead>
            <tr className="border-b border-rule-strong text-left text-small text-soft">
              <th scope="col" className="py-1 pr-6">
                {t("student")}
              </th>
              {view.questions.map((q) => (
                <th key={q.item} scope="col" className="px-2 py-1" title={q.prompt}>
                  {t("Question {{n}}", { n: q.number })}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {students.map((student) => {
              const own = view.answers.filter((a) => a.student === student);
              const name = own[0]?.name ?? t("student {{n}}", { n: student ?? 0 });
              return (
                <tr key={student} className="border-b border-rule">
                  <th scope="row" className="py-1 pr-6 text-left font-normal">
                    {name}
                  </th>
                  {view.questions.map((q) => {
                    const answer = own.find((a) => a.item === q.item);
                    return (
                      <td key={q.item} className="px-2 py-1 align-top">
                        {answer ? (
                          <Cell
                            key={answer.answer}
                            assessment={assessment}
                            question={q}
                            answer={answer}
                            whose={name}
                            names={names}
                            queryKey={queryKey}
                          />
                        ) : (
                          <span className="text-soft">–</span>
                        )}
                      </td>
                    );
                  })}
                </tr>
              );
            })}
          </tbody>
        </table>
        {view.found > view.answers.length && (
          <p className="mt-3 flex items-center gap-3 text-small">
            {t("answers {{from}} to {{to}} are here", {
              from: view.from + 1,
              to: view.from + view.answers.length,
            })}
            <Button
              look="quiet"
              disabled={view.from === 0}
              onClick={() => onFrom(Math.max(0, view.from - 1))}
            >
              {t("Previous")}
            </Button>
            <Button
              look="quiet"
              disabled={view.from + view.answers.length >= view.found}
              onClick={() => onFrom(view.from + view.answers.length)}
            >
              {t("Next")}
            </Button>
          </p>
        )}
      </div>
    </Sheet>
  );
}
