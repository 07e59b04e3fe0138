import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok } from "../../api/client";
import { MarginPart } from "../../parts/Sheet";
import { t } from "../../text";

/** The way from the frameworks to what one's students can do; whoever teaches no course has none. */
export function CanDoLinks() {
  const courses = useQuery({
    queryKey: ["courses"],
    queryFn: () => ok(api.GET("/api/courses")),
    retry: false,
  });
  const own = courses.data ?? [];
  return own.length === 0 ? null : (
    <MarginPart title={t("What students can do")}>
      <ul>
        {own.map((c) => (
          <li key={c.id}>
            <Link to={`/standards/of/${c.id}`} className="block py-0.5 font-script underline">
              {c.title}
            </Link>
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}
