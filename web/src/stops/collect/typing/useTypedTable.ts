import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { useSearchParams } from "react-router";
import { api, ok } from "../../../api/client";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import { sectionQuery } from "../../Assessment";
import type { Bringing } from "../useBringIn";
import { isPoints, pointsOnly, type Question } from "./grid";

/** Columns that say whose a row is: number, e-mail and name. */
const STUDENT_COLUMNS = 3;

/** Where one comes from typing, what was typed is looked at like a file. */
export function useTypedTable(assessment: string, bringing: Bringing) {
  const [params] = useSearchParams();
  const [points] = useTyped(pointsOnly(assessment), false);
  const is = params.get("typed") !== null;
  const section = params.get("section");
  const table = useQuery({
    queryKey: ["typed-table", assessment, section],
    enabled: is,
    gcTime: 0,
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: async () => {
      const where = { params: { path: { assessment }, query: sectionQuery(section) } };
      const [csv, view] = await Promise.all([
        ok(api.GET("/api/assessments/{assessment}/typed/table", { ...where, parseAs: "text" })),
        ok(api.GET("/api/assessments/{assessment}/typed", where)),
      ]);
      return { csv, questions: view.questions };
    },
  });
  const typed = table.data;
  // Once for each table: what is said about it stays.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the hook's functions are new at each drawing
  useEffect(() => {
    if (typed) {
      bringing.begin(
        new File([typed.csv], t("typed from paper"), { type: "text/csv" }),
        pointColumns(typed.questions, points),
      );
    }
  }, [typed, assessment]);
  return { is, error: table.error };
}

/** Where points are typed they are points, whatever stands there; the questions stand in the order of the table. */
function pointColumns(questions: Question[], points: boolean): Bringing["asked"]["choices"]["columns"] {
  return Object.fromEntries(
    questions.flatMap((q, i) =>
      isPoints(q, points) ? [[i + STUDENT_COLUMNS, { use: "POINTS" as const, item: q.item }]] : [],
    ),
  );
}
