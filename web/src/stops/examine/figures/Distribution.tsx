import { CountBar } from "../../../parts/CountBar";
import { MarginPart } from "../../../parts/Sheet";
import { t } from "../../../text";
import { figure, percent } from "../../../text/figures";
import type { View } from "./useExamine";

/** How many scores lie in each tenth, with the pass mark and the bands where they begin. */
export function Distribution({ view }: { view: View }) {
  const most = Math.max(1, ...view.tenths);
  const begins = (tenth: number) =>
    view.thresholds
      .filter((b) => b.tenth === tenth)
      .map((b) =>
        b.label === null
          ? t("pass mark {{percent}}", { percent: percent(b.from) })
          : t("{{band}} from {{percent}}", { band: b.label, percent: percent(b.from) }),
      )
      .join(" · ");
  return (
    <>
      <MarginPart title={t("Distribution of scores (%)")}>
        <table className="w-full text-small">
          <thead className="sr-only">
            <tr>
              <th scope="col">{t("percent")}</th>
              <th scope="col">{t("students")}</th>
              <th scope="col">{t("what begins here")}</th>
            </tr>
          </thead>
          <tbody>
            {view.tenths
              .map((n, tenth) => ({ n, tenth, from: tenth * 10 }))
              .reverse()
              .map(({ n, tenth, from }) => (
                <tr key={from} className={begins(tenth) ? "border-b border-rule-strong" : ""}>
                  <th
                    scope="row"
                    className="w-16 text-left align-top font-normal text-soft"
                  >{`${from} – ${from + 10}`}</th>
                  <td className="w-28 align-top whitespace-nowrap">
                    <CountBar part={n} of={most} className="mr-2 w-16" />
                    {n > 0 && n}
                  </td>
                  <td className="text-right align-top text-soft">{begins(tenth)}</td>
                </tr>
              ))}
          </tbody>
        </table>
      </MarginPart>
      <MarginPart title={t("Scores in points")}>
        <p className="text-small">
          {t("lowest")} {figure(view.test.min.value, 1)} · {t("lower quartile")}{" "}
          {figure(view.test.q1.value, 1)} · {t("median")} {figure(view.test.median.value, 1)} ·{" "}
          {t("upper quartile")} {figure(view.test.q3.value, 1)} · {t("highest")}{" "}
          {figure(view.test.max.value, 1)}
        </p>
      </MarginPart>
    </>
  );
}
