import { useQuery } from "@tanstack/react-query";
import { Link, Navigate } from "react-router";
import { api, ok } from "../../api/client";
import { Sheet } from "../../parts/Sheet";
import { Loaded } from "../../parts/States";
import { t } from "../../text";

/** Chooses a course's gradebook; a single one is opened at once. */
export function GradebookHome() {
  const courses = useQuery({ queryKey: ["courses"], queryFn: () => ok(api.GET("/api/courses")) });
  return (
    <Loaded query={courses}>
      {(all) =>
        all.length === 1 && all[0] ? (
          <Navigate to={`/gradebook/${all[0].id}`} replace />
        ) : (
          <Sheet margin={null}>
            <h1 className="px-6 py-5 font-script text-title font-semibold">{t("Gradebook")}</h1>
            {all.map((c) => (
              <Link
                key={c.id}
                to={`/gradebook/${c.id}`}
                className="block border-t border-rule px-6 py-3 font-script"
              >
                {c.title}
              </Link>
            ))}
          </Sheet>
        )
      }
    </Loaded>
  );
}
