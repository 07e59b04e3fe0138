import type { Schemas } from "../../api/client";
import { t } from "../../text";
import { points } from "../../text/figures";
import { type Item, keyInShort, kindName } from "./definition";

/** The items as rows: number, answer and kind, standard, points. */
export function ItemRows({
  items,
  chosen,
  faults,
  onChoose,
}: {
  items: Item[];
  chosen: string | undefined;
  faults: Schemas["Fault"][];
  onChoose: (id: string) => void;
}) {
  const numbers = new Map(items.filter((i) => i.kind !== "passage").map((item, i) => [item.id, i + 1]));
  return (
    <table className="w-full table-fixed">
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          <th scope="col" className="w-11 py-2 pl-4 font-normal">
            {t("No")}
          </th>
          <th scope="col" className="font-normal">
            {t("Answer and kind")}
          </th>
          <th scope="col" className="w-17 font-normal">
            {t("Standard")}
          </th>
          <th scope="col" className="w-10 pr-3 text-right font-normal">
            {t("Pts")}
          </th>
        </tr>
      </thead>
      <tbody>
        {items.map((item, i) => {
          const faulty = faults.some((f) => f.path.startsWith(`items[${i}]`));
          const here = item.id === chosen;
          return (
            <tr key={item.id} className={`border-b border-rule ${here ? "bg-by-rule-wash" : ""}`}>
              <td
                className={`border-l-3 py-1.5 pl-3 font-semibold ${here ? "border-by-rule" : "border-transparent"}`}
              >
                {numbers.get(item.id) ?? ""}
              </td>
              <td className="py-1">
                <button
                  type="button"
                  aria-pressed={here}
                  className="block w-full text-left leading-tight"
                  onClick={() => onChoose(item.id)}
                >
                  <span
                    className={`block truncate font-semibold ${item.kind === "open" ? "text-by-person" : "text-by-rule"}`}
                  >
                    {keyInShort(item) || <span className="text-waiting">{t("no key yet")}</span>}
                  </span>
                  <span className="text-small text-soft">
                    {t(kindName(item))}
                    {faulty && <span className="font-semibold text-waiting"> · {t("unfinished")}</span>}
                  </span>
                </button>
              </td>
              <td className="truncate text-small text-standard">{codes(item)}</td>
              <td className="pr-3 text-right">{item.points ? points(item.points) : ""}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function codes(item: Item): string {
  const all = [
    ...(item.standards ?? []),
    ...(item.rubric?.criteria ?? []).flatMap((c) => c.standards ?? []),
  ].map((s) => s.code);
  return [...new Set(all)].join(" ");
}
