import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { useSearchParams } from "react-router";
import { api, ok } from "../../../api/client";
import { t } from "../../../text";
import { sectionQuery } from "../../Assessment";
import type { Bringing } from "../useBringIn";
import { pointsOnly } from "./pointsOnly";

/** Columns that say whose a row is: number, e-mail and name. */
const STUDENT_COLUMNS = 3;

/** Where one comes from typing, what was typed is looked at like a file. */
export function useTypedTable(assessment: string, bringing: Bringing) {
  const [params] = useSearchParams();
  const is = params.get("typed") !== null;
  const section = params.get("section");
  const table = useQuery({
    queryKey: ["typed-table", assessment, section],
    enabled: is,
    gcTime: 0,
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/typed/table", {
          params: { path: { assessment }, query: sectionQuery(section) },
          parseAs: "text",
        }),
      ),
  });
  const csv = table.data;
  // Once for each table: what is said about it stays.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the hook's functions are new at each drawing
  useEffect(() => {
    if (csv !== undefined) {
      const items = csv.split(/\r?\n/, 1)[0]?.split(",").slice(STUDENT_COLUMNS) ?? [];
      const columns = pointsOnly.of(assessment)
        ? Object.fromEntries(items.map((item, i) => [i + STUDENT_COLUMNS, { use: "POINTS" as const, item }]))
        : {};
      bringing.begin(new File([csv], t("typed from paper"), { type: "text/csv" }), columns);
    }
  }, [csv, assessment]);
  return { is, error: table.error };
}
