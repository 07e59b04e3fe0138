import type { Schemas } from "../../api/client";
import { VirtualRows } from "../../parts/VirtualRows";
import { t } from "../../text";
import { points } from "../../text/figures";
import { type Item, keyInShort, kindName } from "./definition";

const ROW = 46;

/** The items as rows: number, answer and kind, standard, points. Only the rows near the screen are in the page. */
export function ItemRows({
  items,
  chosen,
  faults,
  broken,
  onChoose,
}: {
  items: Item[];
  chosen: string | undefined;
  faults: Schemas["Fault"][];
  /** The items of which an example no longer gets what it is to get. */
  broken: string[];
  onChoose: (id: string) => void;
}) {
  const numbers = new Map(items.filter((i) => i.kind !== "passage").map((item, i) => [item.id, i + 1]));
  const faulty = new Set(
    faults.map((f) => /^items\[(\d+)]/.exec(f.path)?.[1]).filter((n) => n !== undefined),
  );
  const places = new Map(items.map((item, i) => [item.id, String(i)]));
  return (
    <table className="w-full table-fixed">
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          <th scope="col" className="w-11 py-2 pl-4 font-normal">
            {t("No.")}
          </th>
          <th scope="col" className="font-normal">
            {t("Key and kind")}
          </th>
          <th scope="col" className="w-17 font-normal">
            {t("Standard")}
          </th>
          <th scope="col" className="w-15 pr-3 text-right font-normal">
            {t("Points")}
          </th>
        </tr>
      </thead>
      <VirtualRows rows={items} height={ROW} columns={4}>
        {(item) => {
          const here = item.id === chosen;
          return (
            <tr key={item.id} className={`h-[46px] border-b border-rule ${here ? "bg-by-rule-wash" : ""}`}>
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
                  <span className="block truncate text-small text-soft">
                    {t(kindName(item))}
                    {faulty.has(places.get(item.id) ?? "") && (
                      <span className="font-semibold text-waiting"> · {t("not finished")}</span>
                    )}
                    {broken.includes(item.id) && (
                      <span className="font-semibold text-waiting"> · {t("an example no longer holds")}</span>
                    )}
                  </span>
                </button>
              </td>
              <td className="truncate text-small text-standard">{codes(item)}</td>
              <td className="pr-3 text-right">{item.points ? points(item.points) : ""}</td>
            </tr>
          );
        }}
      </VirtualRows>
    </table>
  );
}

/** The codes of an item, its criteria and its blanks, each once. */
export function codes(item: Item): string {
  const all = [
    ...(item.standards ?? []),
    ...(item.rubric?.criteria ?? []).flatMap((c) => c.standards ?? []),
    ...(item.parts ?? []).flatMap((p) => p.standards ?? []),
  ].map((s) => s.code);
  return [...new Set(all)].join(" ");
}
