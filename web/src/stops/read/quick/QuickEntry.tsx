import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type KeyboardEvent, useState } from "react";
import { useSearchParams } from "react-router";
import { api, ok, Problem, type Schemas } from "../../../api/client";
import { Button, TextButton } from "../../../parts/Button";
import { Sheet } from "../../../parts/Sheet";
import { useTypedStore } from "../../../parts/typed";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { useHeader } from "../../Assessment";
import { unread } from "../afterReading";
import { putReading } from "../putReading";
import { Ways } from "../Ways";
import { highest, typedOf, typedReading } from "./typedReading";

type View = Schemas["ReadView"];
type ReadAnswer = Schemas["ReadAnswer"];

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
  const toggleNames = () => {
    const next = new URLSearchParams(params);
    names ? next.delete("names") : next.set("names", "shown");
    setParams(next, { replace: true });
  };
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

const cells = () => [...document.querySelectorAll<HTMLInputElement>("input[data-cell]")];

/** Goes to the next cell that is unread, from one on; nowhere where there is none. */
function nextUnread(from: HTMLInputElement | null) {
  const all = cells();
  const at = from ? all.indexOf(from) : -1;
  const inTurn = [...all.slice(at + 1), ...all.slice(0, Math.max(0, at))];
  (inTurn.find((c) => c.dataset.cell === "unread") ?? inTurn[0])?.select();
}

/** Goes to a cell beside, above or below. */
function step(from: HTMLInputElement, rows: number, columns: number) {
  const cell = from.closest("td");
  const row = cell?.parentElement as HTMLTableRowElement | null;
  const table = row?.parentElement as HTMLTableSectionElement | null;
  if (cell && row && table) {
    const rowsOf = [...table.rows];
    const next = rowsOf[rowsOf.indexOf(row) + rows]?.cells[cell.cellIndex + columns];
    next?.querySelector("input")?.select();
  }
}

function Cell({
  assessment,
  question,
  answer,
  whose,
  names,
  queryKey,
}: {
  assessment: string;
  question: Schemas["OpenQuestion"];
  answer: ReadAnswer;
  whose: string;
  names: boolean;
  queryKey: unknown[];
}) {
  const client = useQueryClient();
  const store = useTypedStore<string>(`quick:${assessment}:${question.item}:${answer.answer}`);
  const saved = typedOf(answer, question);
  const [typed, setTyped] = useState<string | null>(() => {
    const kept = store.read();
    return kept === saved ? null : kept;
  });
  const [fault, setFault] = useState(() =>
    typed === null ? "" : t("Typed before and not saved. Enter saves it."),
  );
  const keep = (next: string | null) => {
    store.keep(next);
    setTyped(next);
  };
  const save = useMutation({
    mutationFn: (body: Schemas["ReadingChange"]) =>
      ok(
        api.PUT("/api/assessments/{assessment}/readings/{item}/{answer}", {
          params: { path: { assessment, item: question.item, answer: answer.answer }, query: { names } },
          body,
        }),
      ),
    onSuccess: async (after) => {
      await putReading(client, queryKey, after);
      keep(null);
      setFault("");
    },
    onError: (error) => {
      if (error instanceof Problem && error.theirs) {
        void putReading(client, queryKey, error.theirs as ReadAnswer);
      }
      setFault(error instanceof Problem ? error.message : t("Not saved yet. It stays on this device."));
    },
  });
  const send = (): boolean => {
    if (typed === null || typed === saved || save.isPending) {
      return true;
    }
    const change = typedReading(typed, answer, question);
    if (change === null) {
      setFault(
        typed.trim() === ""
          ? t("Nothing is typed. What was read before stays.")
          : question.criteria.length === 0
            ? t("points from 0 to {{max}}", { max: points(question.points) })
            : t("{{count}} digits, up to {{highest}}", {
                count: question.criteria.length,
                highest: highest(question),
              }),
      );
      return false;
    }
    save.mutate(change);
    return true;
  };
  const onKey = (e: KeyboardEvent<HTMLInputElement>) => {
    const arrows: Record<string, [number, number]> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
    };
    const move = arrows[e.key];
    if (e.key === "Enter") {
      e.preventDefault();
      if (send()) {
        nextUnread(e.currentTarget);
      }
    } else if (move) {
      e.preventDefault();
      step(e.currentTarget, ...move);
    } else if (e.key === "Escape") {
      keep(null);
      setFault("");
    }
  };
  const waits = unread(answer);
  return (
    <>
      <input
        data-cell={waits ? "unread" : "read"}
        className={`w-20 rounded-corner border px-2 py-1 tabular-nums ${waits ? "border-waiting bg-waiting-wash" : "border-rule bg-sheet"}`}
        value={typed ?? saved}
        inputMode="decimal"
        aria-label={t("{{name}}, question {{n}}, {{state}}", {
          name: whose,
          n: question.number,
          state: waits ? t("unread") : t("read"),
        })}
        aria-invalid={fault ? true : undefined}
        onFocus={(e) => e.currentTarget.select()}
        onKeyDown={onKey}
        onBlur={send}
        onChange={(e) => {
          setFault("");
          keep(e.target.value);
        }}
      />
      {(fault || save.isPaused) && (
        <span role="alert" className="block max-w-40 text-small text-waiting">
          {fault || t("Not saved yet. It stays on this device.")}
        </span>
      )}
    </>
  );
}
