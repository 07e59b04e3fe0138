import { t } from "../../text";
import type { Kind, View } from "./useBringIn";

const KINDS: [Kind, string][] = [
  ["CHOICE", "choice"],
  ["SEVERAL", "choice of several"],
  ["TEXT", "short text"],
  ["NUMBER", "number"],
  ["OPEN", "open"],
  ["POINTS", "points only"],
  ["LEFT_OUT", "not a question"],
];

/** The questions that would be made of a file's columns: kind, options and key are proposals. */
export function MadeQuestions({
  view,
  onKind,
  onWorth,
}: {
  view: View;
  onKind: (column: number, kind: Kind) => void;
  onWorth: (column: number, points: string) => void;
}) {
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          {[t("Column"), t("Kind"), t("Points"), t("Why"), t("Key")].map((head, i) => (
            <th key={head} scope="col" className={`${i === 0 ? "pl-5" : ""} py-2 pr-3 font-normal`}>
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {view.made.map((q) => (
          <tr
            key={q.column}
            className={`border-b border-rule align-top ${q.kind === "LEFT_OUT" ? "text-soft" : ""}`}
          >
            <td className="py-1.5 pr-3 pl-5 font-script">{q.prompt}</td>
            <td className="pr-3 py-1">
              <select
                aria-label={t("Kind of {{column}}", { column: q.prompt })}
                value={q.kind}
                onChange={(e) => onKind(q.column, e.target.value as Kind)}
                className="rounded-corner border border-rule bg-sheet px-1 py-0.5"
              >
                {KINDS.map(([kind, name]) => (
                  <option key={kind} value={kind}>
                    {t(name)}
                  </option>
                ))}
              </select>
            </td>
            <td className="py-1 pr-3">
              {q.kind !== "LEFT_OUT" && (
                <input
                  aria-label={t("Points of {{column}}", { column: q.prompt })}
                  defaultValue={q.points}
                  key={q.points}
                  inputMode="decimal"
                  onBlur={(e) => {
                    const points = e.target.value.trim().replace(",", ".");
                    points !== q.points && onWorth(q.column, points);
                  }}
                  className="w-16 rounded-corner border border-rule bg-sheet px-1 py-0.5 text-right"
                />
              )}
            </td>
            <td className="py-1.5 pr-3 text-small">
              {q.because}
              {q.options.length > 0 && (
                <span className="block font-script text-soft">{q.options.slice(0, 8).join(" · ")}</span>
              )}
            </td>
            <td className="py-1.5 pr-3 font-script">{q.key || "–"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
