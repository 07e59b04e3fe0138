import { IntervalBar } from "../../../parts/IntervalBar";
import { t } from "../../../text";
import { betweenShares, percent } from "../../../text/figures";
import type { Row, View } from "./useAttainment";

/** The standards as a tree: each with the class on a line, and every student as a dot. */
export function StandardTree({
  view,
  chosen,
  onChoose,
}: {
  view: View;
  chosen: Row | undefined;
  onChoose: (code: string) => void;
}) {
  const bound = Number(view.way.levels[view.bound]?.from ?? 0) / 100;
  return (
    <table className="w-full">
      <thead>
        <tr className="border-y border-rule text-left text-small text-soft">
          <th scope="col" className="py-1 pl-6 font-normal">
            {t("Standard")}
          </th>
          <th scope="col" className="w-20 pr-4 text-right font-normal">
            {t("pieces of evidence")}
          </th>
          <th scope="col" className="w-52 font-normal">
            {t("all students shown")}
          </th>
          <th scope="col" className="w-64 pr-5 font-normal">
            {t("each student a dot")}
          </th>
        </tr>
      </thead>
      <tbody>
        {view.standards.map((row) => (
          <tr
            key={row.code}
            className={`border-b border-rule ${row.code === chosen?.code ? "bg-waiting-wash" : ""}`}
          >
            <th
              scope="row"
              className={`border-l-4 py-1.5 pr-3 text-left font-normal ${row.code === chosen?.code ? "border-standard" : "border-transparent"}`}
            >
              <button
                type="button"
                aria-pressed={row.code === chosen?.code}
                onClick={() => onChoose(row.code)}
                className="block min-h-6 w-full text-left"
                style={{ paddingLeft: `${1.25 + row.depth * 1.25}rem` }}
              >
                <span className="mr-2 font-semibold text-standard">{row.code}</span>
                <span className={`font-script ${row.depth === 0 ? "font-semibold" : ""}`}>{row.text}</span>
              </button>
            </th>
            <td className="pr-4 text-right">{row.pieces > 0 && row.pieces}</td>
            <td>
              {row.mean === null ? (
                <span className="text-small text-soft">
                  {row.asked === 0 ? t("not asked yet") : t("nothing decided yet")}
                </span>
              ) : (
                <span className="flex items-center gap-3">
                  <IntervalBar
                    of="standard"
                    place={row.place}
                    low={row.low}
                    high={row.high}
                    upright={bound}
                    says={betweenShares(row.low, row.high)}
                  />
                  <strong>{percent(row.mean)}</strong>
                </span>
              )}
            </td>
            <td className="pr-5">
              <Dots row={row} bound={bound} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const LANES = 3;

function Dots({ row, bound }: { row: Row; bound: number }) {
  const below = new Set(row.below);
  return row.mean === null ? null : (
    <span className="relative block h-6">
      <span
        aria-hidden="true"
        className="absolute inset-y-0 border-l border-rule-strong"
        style={{ left: `${bound * 100}%` }}
      />
      {row.cells.map(
        (cell, i) =>
          cell && (
            <span
              key={i}
              aria-hidden="true"
              className={`absolute size-1.5 -translate-x-1/2 ${below.has(i) ? "rotate-45 bg-waiting" : "rounded-full bg-soft"}`}
              style={{
                left: `${Math.min(1, Math.max(0, cell.place)) * 100}%`,
                top: `${(i % LANES) * 0.5}rem`,
              }}
            />
          ),
      )}
      <span className="sr-only">
        {t("{{n}} of {{all}} below the level", {
          n: row.below.length,
          all: row.cells.filter((c) => c !== null).length,
        })}
      </span>
    </span>
  );
}
