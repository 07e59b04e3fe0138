import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok } from "../../api/client";
import { MarginPart } from "../../parts/Sheet";
import { t } from "../../text";
import { points } from "../../text/figures";
import { byWhom } from "../settle/DecidedRows";

/** What was decided in Settle about this question, also what a key cannot list; it is changed there. */
export function Decisions({ assessment, item }: { assessment: string; item: string }) {
  const decided = useQuery({
    queryKey: ["assessment", assessment, "decided", item],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/doubts/decided", {
          params: { path: { assessment }, query: { item } },
        }),
      ),
  });
  if (!decided.data || decided.data.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("Decided in Settle")}>
      <ul>
        {decided.data.map((d) => (
          <li key={d.form + d.credit + d.who} className="border-b border-rule py-1">
            <span className="font-script">{d.shown}</span>{" "}
            <strong className="text-by-person">{t("{{credit}} credit", { credit: points(d.credit) })}</strong>
            <span className="block text-small text-soft">
              {d.count}× · {byWhom(d)}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-small">
        <Link to={`/a/${assessment}/settle`} className="underline">
          {t("Decide differently in Settle")}
        </Link>
      </p>
    </MarginPart>
  );
}
