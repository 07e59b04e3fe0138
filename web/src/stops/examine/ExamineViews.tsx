import type { ReactNode } from "react";
import { Link, NavLink, useSearchParams } from "react-router";
import { t } from "../../text";
import { useHeader, useWhere } from "../Assessment";

const VIEWS = [
  { path: "", name: "Figures" },
  { path: "/students", name: "Students × questions" },
  { path: "/sections", name: "Sections" },
  { path: "/reports", name: "Reports" },
] as const;

/** The views of Examine, above what each of them shows; the section stays chosen. */
export function ExamineViews({ children }: { children?: ReactNode }) {
  const { assessment, section } = useWhere();
  const course = useHeader(assessment, section).data?.course;
  const [params] = useSearchParams();
  const item = params.get("item");
  const search = new URLSearchParams();
  section && search.set("section", section);
  item && search.set("item", item);
  return (
    <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1 border-b border-rule px-5 pt-2">
      <nav aria-label={t("Views of Examine")} className="flex flex-wrap gap-x-5">
        {VIEWS.map((v) => (
          <NavLink
            key={v.path}
            end
            to={{ pathname: `/a/${assessment}/examine${v.path}`, search: search.toString() }}
            className={({ isActive }) =>
              `min-h-8 py-1 text-small ${isActive ? "border-b-2 border-ink font-semibold" : "text-soft"}`
            }
          >
            {t(v.name)}
          </NavLink>
        ))}
        {course && (
          <Link
            to={`/standards/of/${course}${section ? `?section=${section}` : ""}`}
            className="min-h-8 py-1 text-small text-soft"
          >
            {t("Standards × students")}
          </Link>
        )}
      </nav>
      <span className="ml-auto flex flex-wrap items-baseline gap-x-3 py-1 text-small text-soft">
        {children}
      </span>
    </div>
  );
}
