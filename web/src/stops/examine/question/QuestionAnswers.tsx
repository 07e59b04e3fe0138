import { CountBar } from "../../../parts/CountBar";
import { Loaded } from "../../../parts/States";
import { t } from "../../../text";
import type { ItemLine } from "../figures/useExamine";
import { AnswerGroups } from "./AnswerGroups";
import { CrossedTable } from "./CrossedTable";
import { NumbersOnLine } from "./NumbersOnLine";
import { OptionPlot } from "./OptionPlot";
import { PlacesOnPicture } from "./PlacesOnPicture";
import { type QuestionView, useQuestion } from "./useQuestion";

/** A question opened: what was answered, as it suits its kind. */
export function QuestionAnswers({ item }: { item: ItemLine }) {
  const query = useQuestion(item.item);
  return (
    <Loaded query={query}>
      {(view) => (
        <section aria-label={t("Answers to question {{n}}", { n: item.number })} className="grid gap-4">
          <p className="text-small text-soft">{inShort(view)}</p>
          {item.measures.options.length > 0 && <OptionPlot item={item} />}
          {view.line && <NumbersOnLine line={view.line} />}
          {view.crossed && <CrossedTable crossed={view.crossed} order={view.kind === "order"} />}
          {view.kind === "spot" && <PlacesOnPicture view={view} />}
          {view.criteria.length > 0 && <Levels view={view} />}
          {view.broke.length > 0 && <Broke view={view} />}
          {item.measures.options.length === 0 && <AnswerGroups view={view} />}
        </section>
      )}
    </Loaded>
  );
}

function inShort(view: QuestionView): string {
  return [
    t("{{n}} of {{all}} answered.", { n: view.answered, all: view.asked }),
    view.unfinished !== null && t("{{count}} began and did not finish.", { count: view.unfinished }),
    view.answered > 0 && t("{{count}} different answers.", { count: view.different }),
  ]
    .filter(Boolean)
    .join(" ");
}

/** How often each level of each criterion was chosen. */
function Levels({ view }: { view: QuestionView }) {
  return (
    <>
      {view.criteria.map((c) => {
        const most = Math.max(1, ...c.levels.map((l) => l.count));
        return (
          <table key={c.title} className="w-full max-w-xl text-small">
            <caption className="pb-1 text-left font-semibold">{c.title || t("Levels")}</caption>
            <thead className="sr-only">
              <tr>
                <th scope="col">{t("level")}</th>
                <th scope="col">{t("points")}</th>
                <th scope="col">{t("students")}</th>
              </tr>
            </thead>
            <tbody>
              {c.levels.map((l, i) => (
                <tr key={i} className="border-t border-rule">
                  <th scope="row" className="py-1 pr-3 text-left font-script font-normal">
                    {l.text}
                  </th>
                  <td className="w-12 py-1 text-right">{l.points}</td>
                  <td className="w-44 py-1 pl-3">
                    <CountBar part={l.count} of={most} /> {l.count}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        );
      })}
    </>
  );
}

/** In which line workings stopped following. */
function Broke({ view }: { view: QuestionView }) {
  const most = Math.max(...view.broke.map((b) => b.count));
  return (
    <table className="w-full max-w-sm text-small">
      <caption className="pb-1 text-left font-semibold">{t("The first line that does not follow")}</caption>
      <thead className="sr-only">
        <tr>
          <th scope="col">{t("line")}</th>
          <th scope="col">{t("students")}</th>
        </tr>
      </thead>
      <tbody>
        {view.broke.map((b) => (
          <tr key={b.line} className="border-t border-rule">
            <th scope="row" className="w-20 py-1 text-left font-normal">
              {t("line {{n}}", { n: b.line })}
            </th>
            <td className="py-1">
              <CountBar part={b.count} of={most} /> {b.count}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
