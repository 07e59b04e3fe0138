import { useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { sectionQuery, useWhere } from "../../Assessment";

export type QuestionView = Schemas["QuestionView"];

/** What was answered to one question. */
export function useQuestion(item: string) {
  const { assessment, section } = useWhere();
  return useQuery({
    queryKey: ["assessment", assessment, "examine", section, "question", item],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/examine/questions/{item}", {
          params: { path: { assessment, item }, query: sectionQuery(section) },
        }),
      ),
  });
}
