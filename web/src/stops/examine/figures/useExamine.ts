import { useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { sectionQuery } from "../../Assessment";

export type View = Schemas["ExamineView"];
export type ItemLine = Schemas["ItemLine"];

/** The figures of the paper and of each item. */
export function useExamine(assessment: string, section: string | null) {
  return useQuery({
    queryKey: ["assessment", assessment, "examine", section],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/examine", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
}
