import { Strip } from "../../../parts/Strip";
import { VirtualRows } from "../../../parts/VirtualRows";
import { t } from "../../../text";
import { stretch, time } from "../../../text/figures";
import type { Row, View } from "./useRunning";

const WAYS = { SCREEN: "on screen", FILE: "from a file", TYPED: "typed in", PAPER: "on paper" };
const LONG = 6 * 3600;

export const rowId = (row: Row): string => `row-${row.student}-${row.section}`;

/** A row a student: how far, last change, time left, state. The chosen one is acted upon in the margin. */
export function Rows({
  view,
  now,
  chosen,
  onChoose,
}: {
  view: View;
  now: number;
  chosen: Row | undefined;
  onChoose: (row: Row) => void;
}) {
  const counted = view.sittings.some((s) => s.settings.leavingCounted);
  const columns = counted ? 7 : 6;
  const heads = [
    t("Student"),
    t("How"),
    t("Questions 1 to {{n}}", { n: view.items }),
    t("Last change"),
    t("Time left"),
    ...(counted ? [t("Left the page")] : []),
    t("State"),
  ];
  return (
    <section className="overflow-x-auto" aria-label={t("Students")}>
      <table className="w-full">
        <thead>
          <tr className="border-b border-rule text-left text-small text-soft">
            {heads.map((head, i) => (
              <th
                key={head}
                scope="col"
                className={`font-normal ${i === 0 ? "py-2 pl-5" : "pr-3"} ${i === heads.length - 1 ? "pr-5 text-right" : ""}`}
              >
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <VirtualRows rows={view.rows} height={36} columns={columns}>
          {(row) => (
            <StudentRow
              key={row.student + row.section}
              row={row}
              now={row.paused ? Date.parse(view.now) : now}
              counted={counted}
              isChosen={chosen !== undefined && rowId(chosen) === rowId(row)}
              onChoose={() => onChoose(row)}
            />
          )}
        </VirtualRows>
      </table>
    </section>
  );
}

function StudentRow({
  row,
  now,
  counted,
  isChosen,
  onChoose,
}: {
  row: Row;
  now: number;
  counted: boolean;
  isChosen: boolean;
  onChoose: () => void;
}) {
  const said = row.cells.filter(Boolean).length;
  const left = row.due === null || row.stage === "IN" ? null : (Date.parse(row.due) - now) / 1000;
  return (
    <tr className={`border-b border-rule ${isChosen ? "bg-waiting-wash" : ""}`}>
      <th scope="row" className={`pl-5 text-left ${isChosen ? "border-l-4 border-waiting pl-4" : ""}`}>
        <button
          type="button"
          id={rowId(row)}
          aria-pressed={isChosen}
          onClick={onChoose}
          className="min-w-44 max-w-80 py-1.5 text-left wrap-anywhere"
        >{`${row.family}, ${row.given}`}</button>
      </th>
      <td className="pr-3 text-small text-soft">
        {row.way ? t(WAYS[row.way]) : ""}
        {row.guest && <span className="block">{t("guest")}</span>}
        {row.taken > 1 && <span className="block">{t("attempt {{n}}", { n: row.taken })}</span>}
      </td>
      <td className="pr-3">
        <Strip
          size="w-6"
          cells={row.cells.map((c, i) =>
            row.stage === "WORKING" && i === row.at ? "here" : c ? "done" : "none",
          )}
        />
        <span className="sr-only">{t("{{n}} of {{all}} answered", { n: said, all: row.cells.length })}</span>
      </td>
      <td className="pr-3 text-small text-soft">{row.lastChange ? time(row.lastChange) : "–"}</td>
      <td className="pr-3 text-small whitespace-nowrap">
        {left !== null && left > 0 && left < LONG ? stretch(left) : <span className="text-soft">–</span>}
        {row.different && (
          <span className="ml-1 text-by-person">
            <span aria-hidden="true">◆</span>
            <span className="sr-only">{t("different for this student")}</span>
          </span>
        )}
      </td>
      {counted && <td className="pr-3 text-small text-soft">{leftInWords(row.leftPage)}</td>}
      <td className="pr-5 text-right font-semibold whitespace-nowrap">
        {row.stage === "IN" && t("handed in")}
        {row.stage === "WORKING" && (
          <span className="text-waiting">{row.paused ? t("paused") : t("in progress")}</span>
        )}
        {row.stage === "NOT_STARTED" && <span className="text-soft">{t("not started")}</span>}
        {row.stage === "WORKING" && row.stuck !== null && (
          <span className="block text-small font-normal text-soft">
            {t("no change for {{n}} min", { n: row.stuck })}
          </span>
        )}
      </td>
    </tr>
  );
}

const leftInWords = (times: number): string =>
  times === 0 ? "–" : times === 1 ? t("once") : t("{{n}} times", { n: times });
