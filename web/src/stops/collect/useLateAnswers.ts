import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { sectionQuery } from "../Assessment";

/** The late answers of an assessment, and what can be decided about one. */
export function useLateAnswers(assessment: string, section: string | null) {
  const client = useQueryClient();
  const onSettled = () => client.invalidateQueries({ queryKey: ["assessment"] });
  const query = useQuery({
    queryKey: ["assessment", assessment, "late", section],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/late", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
  const decide = useMutation({
    mutationFn: ({ answer, how }: { answer: string; how: "take" | "leave" | "take-back" }) =>
      ok(api.POST(`/api/late/{answer}/${how}`, { params: { path: { answer } } })),
    onSettled,
  });
  return { query, decide };
}
