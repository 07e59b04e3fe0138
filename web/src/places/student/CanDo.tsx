import { useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";
import { IntervalBar } from "../../parts/IntervalBar";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { betweenShares, percent } from "../../text/figures";

/** What a student has shown so far, in the school's words, and what would show more. */
export function CanDo() {
  const query = useQuery({ queryKey: ["can-do"], queryFn: () => ok(api.GET("/api/student/can-do")) });
  return (
    <main id="page" className="mx-auto w-full max-w-2xl bg-sheet pb-10 sm:my-6 sm:border sm:border-rule">
      <h1 className="px-5 pt-5 pb-3 font-script text-title font-semibold">{t("What I can do")}</h1>
      <Loaded query={query}>
        {(all) =>
          all.length === 0 ? (
            <Empty title={t("Nothing to show yet.")}>
              {t("When a result that shows standards is handed back, you will find here what you can do.")}
            </Empty>
          ) : (
            <>
              {all.map((c) => (
                <CourseShown key={c.course + c.framework} shown={c} />
              ))}
              <p className="px-5 pt-4 text-small text-soft">
                {t(
                  "The bar shows between what percentages you lie, with the answers that were seen. With more answers it becomes narrower. Only what was handed back to you counts.",
                )}
              </p>
            </>
          )
        }
      </Loaded>
    </main>
  );
}

function CourseShown({ shown }: { shown: Schemas["CourseShown"] }) {
  const seen = shown.standards.filter((s) => s.percent !== null);
  const more = shown.standards.filter((s) => s.percent !== null && s.more > 0);
  const never = shown.standards.filter((s) => s.percent === null && s.depth === 0);
  return (
    <section aria-label={shown.course}>
      <h2 className="px-5 pt-3 pb-1 font-script text-words font-semibold">
        {shown.course} <span className="font-sans text-small font-normal text-soft">{shown.framework}</span>
      </h2>
      <ul className="border-t border-rule">
        {seen.map((s) => (
          <li
            key={s.code}
            className="grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-1 border-b border-rule px-5 py-2"
            style={{ paddingLeft: `${1.25 + s.depth}rem` }}
          >
            <span className={`font-script ${s.depth === 0 ? "font-semibold" : ""}`}>{s.text}</span>
            <strong className="text-right text-standard">{s.level ?? t("too little to say")}</strong>
            <IntervalBar
              of="standard"
              place={s.place}
              low={s.low}
              high={s.high}
              says={betweenShares(s.low, s.high)}
              className="w-full max-w-60"
            />
            <span className="text-right text-small text-soft">
              {percent(s.percent)} · {t("{{count}} answers", { count: s.pieces })}
            </span>
          </li>
        ))}
      </ul>
      {(more.length > 0 || never.length > 0) && (
        <div className="px-5 pt-3">
          <h3 className="text-small font-semibold text-soft">{t("What would show more")}</h3>
          <ul className="text-small">
            {more.map((s) => (
              <li key={s.code}>
                {t("{{standard}}: {{count}} more answers, and there is a level.", {
                  standard: s.text,
                  count: s.more,
                })}
              </li>
            ))}
            {never.map((s) => (
              <li key={s.code}>
                {t("{{standard}}: nothing of it was handed back so far.", { standard: s.text })}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
