import type { Schemas } from "../../api/client";
import { type Item, kindName } from "../../stops/key/definition";
import { t } from "../../text";
import { figure } from "../../text/figures";

/** Items with kind, standards, the mean expected, the mean found so far and how often they were used. */
export function BankRows({
  rows,
  chosen,
  picked,
  onChoose,
  onPick,
}: {
  rows: Schemas["BankLine"][];
  chosen: string | undefined;
  picked: string[];
  onChoose: (id: string) => void;
  onPick: (id: string) => void;
}) {
  return (
    <table className="w-full table-fixed">
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          <th scope="col" className="w-8 py-1 font-normal">
            <span className="sr-only">{t("picked")}</span>
          </th>
          <th scope="col" className="font-normal">
            {t("Question")}
          </th>
          <th scope="col" className="w-28 font-normal">
            {t("Kind")}
          </th>
          <th scope="col" className="w-24 font-normal">
            {t("Standard")}
          </th>
          <th scope="col" className="w-20 text-right font-normal">
            {t("Expected")}
          </th>
          <th scope="col" className="w-16 text-right font-normal">
            {t("So far")}
          </th>
          <th scope="col" className="w-14 text-right font-normal">
            {t("Used")}
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr
            key={r.id}
            className={`border-b border-rule align-baseline ${r.id === chosen ? "bg-by-rule-wash" : ""}`}
          >
            <td
              className={`border-l-3 py-1.5 pl-2 ${r.id === chosen ? "border-by-rule" : "border-transparent"}`}
            >
              <input
                type="checkbox"
                aria-label={t("pick {{prompt}}", { prompt: r.prompt })}
                checked={picked.includes(r.id)}
                onChange={() => onPick(r.id)}
              />
            </td>
            <td className="py-1.5 pr-3">
              <button type="button" className="w-full text-left font-script" onClick={() => onChoose(r.id)}>
                {r.prompt || t("(no text)")}
              </button>
              {r.tags.length > 0 && <span className="text-small text-soft">{r.tags.join(", ")}</span>}
            </td>
            <td className="text-small">{t(kindName(r.definition as Item))}</td>
            <td className="truncate text-small text-standard">{r.codes.join(" ")}</td>
            <td className="text-right">{figure(r.difficulty ? Number(r.difficulty) : null)}</td>
            <td
              className="text-right"
              title={
                r.soFar
                  ? t("Mean score of {{count}} students in your courses, as last handed back", {
                      count: r.students,
                    })
                  : undefined
              }
            >
              {figure(r.soFar ? Number(r.soFar) : null)}
            </td>
            <td className="text-right">{r.uses}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
