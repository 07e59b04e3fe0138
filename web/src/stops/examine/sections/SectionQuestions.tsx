import type { Schemas } from "../../../api/client";
import { IntervalBar } from "../../../parts/IntervalBar";
import { t } from "../../../text";
import { between, figure } from "../../../text/figures";

/** The mean of each question in each section, with its interval. */
export function SectionQuestions({
  view,
  chosen,
  onChoose,
}: {
  view: Schemas["SectionsView"];
  chosen: string | undefined;
  onChoose: (item: string) => void;
}) {
  return (
    <section aria-label={t("Questions by section")} className="overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-b border-rule text-left text-small text-soft">
            <th scope="col" className="w-12 py-1 pl-5 font-normal">
              {t("No.")}
            </th>
            <th scope="col" className="font-normal">
              {t("Question")}
            </th>
            {view.sections.map((s) => (
              <th key={s.section} scope="col" className="w-44 font-normal">
                {s.section}
              </th>
            ))}
            <th scope="col" className="w-36 pl-4 font-normal">
              {t("at equal ability")}
            </th>
          </tr>
        </thead>
        <tbody>
          {view.questions.map((q) => (
            <tr key={q.item} className={`border-b border-rule ${q.item === chosen ? "bg-waiting-wash" : ""}`}>
              <td
                className={`border-l-4 py-1.5 pl-4 font-semibold ${q.item === chosen ? "border-waiting" : "border-transparent"}`}
              >
                {q.number}
              </td>
              <td className="pr-4">
                <button
                  type="button"
                  aria-pressed={q.item === chosen}
                  onClick={() => onChoose(q.item)}
                  className="block min-h-6 w-full text-left font-script leading-snug"
                >
                  {q.prompt}
                </button>
              </td>
              {q.inSections.map((s, i) => (
                <td key={view.sections[i]?.section}>
                  <Mean mean={s} />
                </td>
              ))}
              <td className="pr-3 pl-4 text-small font-semibold text-waiting">
                {q.flags
                  .map((f) => f && t(f === "large" ? "large difference" : "moderate difference"))
                  .join(" ")}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Mean({ mean }: { mean: Schemas["InSection"] }) {
  const { value } = mean.mean;
  return value === null ? (
    <span title={mean.mean.missing ?? undefined}>–</span>
  ) : (
    <span className="flex items-center gap-2">
      <IntervalBar
        of="mean"
        place={value}
        low={mean.low.value ?? 0}
        high={mean.high.value ?? 0}
        says={between(mean.low.value, mean.high.value)}
        className="w-24"
      />
      {figure(value)}
    </span>
  );
}
