import { CountBar } from "../../../parts/CountBar";
import { t } from "../../../text";
import { figure, share } from "../../../text/figures";
import type { ItemLine } from "../figures/useExamine";

/** How each option was chosen by the upper, the middle and the lower third. */
export function OptionPlot({ item }: { item: ItemLine }) {
  return (
    <table className="w-full text-small">
      <caption className="sr-only">{t("Options by thirds of the students")}</caption>
      <thead>
        <tr className="border-b border-rule text-left text-soft">
          <th scope="col" className="py-1 font-normal">
            {t("option")}
          </th>
          <th scope="col" className="w-16 text-right font-normal">
            {t("students")}
          </th>
          {[t("upper third"), t("middle third"), t("lower third")].map((name) => (
            <th key={name} scope="col" className="w-36 pl-4 font-normal">
              {name}
            </th>
          ))}
          <th scope="col" className="w-20 text-right font-normal">
            {t("r with the rest")}
          </th>
        </tr>
      </thead>
      <tbody>
        {item.measures.options.map((o, i) => (
          <tr key={o.option} className="border-b border-rule align-top">
            <th scope="row" className={`py-1 pr-2 text-left ${o.keyed ? "font-semibold" : "font-normal"}`}>
              <span className="font-script text-words">{item.optionTexts[i]}</span>
              {o.keyed && <span className="text-by-rule"> {t("right")}</span>}
            </th>
            <td className="py-1 text-right">{o.count}</td>
            {[o.upper, o.middle, o.lower].map((third, k) => (
              <td key={k} className="py-1 pl-4 whitespace-nowrap">
                <CountBar part={third.value ?? 0} of={1} className="w-20" /> {share(third.value)}
              </td>
            ))}
            <td className="py-1 text-right" title={o.optionRest.missing ?? undefined}>
              {figure(o.optionRest.value)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
