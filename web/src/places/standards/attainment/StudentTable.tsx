import { VirtualRows } from "../../../parts/VirtualRows";
import { t } from "../../../text";
import type { Row, View } from "./useAttainment";

/** Student by student: a cell is what somebody has shown on a standard. */
export function StudentTable({
  view,
  rows,
  chosen,
  student,
  onCell,
}: {
  view: View;
  rows: Row[];
  chosen: Row | undefined;
  student: string | null;
  onCell: (code: string, student: string) => void;
}) {
  const places = view.students.map((_, i) => i);
  return (
    <section aria-label={t("Students by standards")} className="overflow-x-auto">
      <table className="min-w-full">
        <thead>
          <tr className="border-y border-rule text-small">
            <th scope="col" className="sticky left-0 bg-sheet py-1 pl-6 text-left font-normal text-soft">
              {t("Student")}
            </th>
            {rows.map((r) => (
              <th
                key={r.code}
                scope="col"
                title={r.text}
                className={`min-w-12 px-1 text-right font-semibold text-standard ${r.code === chosen?.code ? "bg-waiting-wash" : ""}`}
              >
                {r.code}
              </th>
            ))}
          </tr>
        </thead>
        <VirtualRows rows={places} height={31} columns={rows.length + 1} overscan={8}>
          {(i) => {
            const one = view.students[i];
            return one ? (
              <tr key={one.id} className="border-b border-rule">
                <th
                  scope="row"
                  className="sticky left-0 max-w-64 min-w-40 bg-sheet py-1 pr-3 pl-6 text-left wrap-anywhere"
                >{`${one.family}, ${one.given}`}</th>
                {rows.map((r) => {
                  const cell = r.cells[i];
                  const here = r.code === chosen?.code && one.id === student;
                  return (
                    <td key={r.code} className="p-0 text-right">
                      {cell ? (
                        <button
                          type="button"
                          aria-pressed={here}
                          onClick={() => onCell(r.code, one.id)}
                          className={`min-h-7 w-full px-1 text-right ${here ? "outline-2 -outline-offset-2 outline-ink" : ""} ${cell.level === null ? "text-soft" : r.below.includes(i) ? "font-semibold text-waiting" : ""}`}
                        >
                          {cell.percent}
                          <span className="sr-only">
                            {" "}
                            {cell.level === null
                              ? t("too little to say")
                              : view.way.levels[cell.level]?.label}
                          </span>
                        </button>
                      ) : (
                        <span className="px-1 text-soft">–</span>
                      )}
                    </td>
                  );
                })}
              </tr>
            ) : null;
          }}
        </VirtualRows>
      </table>
    </section>
  );
}
