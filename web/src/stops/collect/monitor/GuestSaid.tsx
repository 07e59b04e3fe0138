import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../../../api/client";
import { t } from "../../../text";
import type { Row } from "./useRunning";

/** What a guest said of themselves when they came in. */
export function GuestSaid({ assessment, row }: { assessment: string; row: Row }) {
  const guests = useQuery({
    queryKey: ["assessment", assessment, "guests"],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/guests", { params: { path: { assessment } } })),
  });
  const said = guests.data?.find((g) => g.student === row.student);
  const lines = said
    ? [[t("Class"), said.group], [t("E-mail"), said.email], ...Object.entries(said.own)].filter(
        ([, words]) => words !== "",
      )
    : [];
  return (
    <div className="mb-3 border-l-3 border-rule pl-2 text-small">
      <p className="text-soft">{t("A guest, who came by the short link and is on no roster.")}</p>
      {lines.length > 0 && (
        <dl>
          {lines.map(([label, words]) => (
            <div key={label} className="flex flex-wrap gap-x-2">
              <dt className="text-soft">{label}:</dt>
              <dd className="font-script wrap-anywhere">{words}</dd>
            </div>
          ))}
        </dl>
      )}
    </div>
  );
}
