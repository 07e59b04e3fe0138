import type { Schemas } from "../../../api/client";
import { t } from "../../../text";

/** What was taken for what, or where each step was put; what is right has a frame. */
export function CrossedTable({ crossed, order }: { crossed: Schemas["Crossed"]; order: boolean }) {
  const most = Math.max(1, ...crossed.counts.flat());
  return (
    <div className="overflow-x-auto">
      <table className="text-small">
        <caption className="pb-1 text-left text-soft">
          {order
            ? t("How often each step was put at each place; the right place is framed.")
            : t("How often each label was put to each row; the right one is framed.")}
        </caption>
        <thead>
          <tr className="align-bottom">
            <th scope="col" className="pr-4 text-left font-normal text-soft">
              {order ? t("step") : t("row")}
            </th>
            {crossed.columns.map((c) => (
              <th key={c} scope="col" className="max-w-28 px-2 pb-1 text-center font-script font-normal">
                {c}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {crossed.rows.map((row, r) => (
            <tr key={row} className="border-t border-rule">
              <th scope="row" className="py-1 pr-4 text-left font-script text-words font-normal">
                {row}
              </th>
              {crossed.columns.map((c, k) => {
                const n = crossed.counts[r]?.[k] ?? 0;
                const keyed = crossed.keyed[r]?.[k];
                return (
                  <td
                    key={c}
                    className={`relative min-w-12 px-2 py-1 text-center ${keyed ? "border-2 border-by-rule font-semibold" : ""}`}
                  >
                    <span
                      aria-hidden="true"
                      className="absolute inset-0 bg-ink"
                      style={{ opacity: (0.22 * n) / most }}
                    />
                    <span className={`relative ${n === 0 ? "text-soft" : ""}`}>{n}</span>
                    {keyed && <span className="sr-only">{t("right")}</span>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
