import { useQuery } from "@tanstack/react-query";
import { Link, Navigate } from "react-router";
import { api, ok } from "../../api/client";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";

/** The courses that a teacher has; a single one is opened at once. */
export function Courses() {
  const courses = useQuery({ queryKey: ["courses"], queryFn: () => ok(api.GET("/api/courses")) });
  return (
    <Loaded query={courses}>
      {(all) =>
        all.length === 1 && all[0] ? (
          <Navigate to={`/courses/${all[0].id}`} replace />
        ) : (
          <Sheet margin={null}>
            <h1 className="px-6 py-5 font-script text-title font-semibold">{t("Courses")}</h1>
            {all.length === 0 && (
              <Empty title={t("You have no course yet.")}>{t("An administrator adds you to one.")}</Empty>
            )}
            {all.map((c) => (
              <Link
                key={c.id}
                to={`/courses/${c.id}`}
                className="block border-t border-rule px-6 py-3 font-script"
              >
                <strong>{c.title}</strong>{" "}
                <span className="font-sans text-small text-soft">
                  {t("{{count}} sections", { count: c.sections })} ·{" "}
                  {t("{{count}} students", { count: c.students })}
                </span>
              </Link>
            ))}
          </Sheet>
        )
      }
    </Loaded>
  );
}
