import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok } from "../../api/client";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { moment, percent } from "../../text/figures";

/** What was handed back to a student, the latest first. */
export function Results() {
  const query = useQuery({ queryKey: ["results"], queryFn: () => ok(api.GET("/api/student/results")) });
  return (
    <main id="page" className="mx-auto w-full max-w-2xl bg-sheet pb-10 sm:my-6 sm:border sm:border-rule">
      <h1 className="px-5 pt-5 pb-3 font-script text-title font-semibold">{t("Results")}</h1>
      <Loaded query={query}>
        {(all) => (
          <>
            {all.length === 0 && (
              <Empty title={t("No results yet.")}>
                {t("When your teacher hands something back, you will find it here.")}
              </Empty>
            )}
            <ul className="border-t border-rule">
              {all.map((r) => (
                <li key={r.id} className="border-b border-rule">
                  <Link to={`/results/${r.id}`} className="flex min-h-14 items-center gap-3 px-5 py-3">
                    <span className="min-w-0 flex-1">
                      <span className="block font-script text-words font-semibold">{r.title}</span>
                      <span className="text-small text-soft">
                        {r.course} · {moment(r.handedAt)}
                        {!r.seen && <strong className="text-waiting"> · {t("new")}</strong>}
                      </span>
                    </span>
                    <span className="text-right">
                      {r.percent !== null && percent(r.percent)}{" "}
                      <strong className="block text-standard">{r.band}</strong>
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </>
        )}
      </Loaded>
    </main>
  );
}
