import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";

/** Says what of a question is read by two, and has the pile read anew. */
export function useSecondPlan(assessment: string, item: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas["SecondPlan"]) =>
      ok(
        api.PUT("/api/assessments/{assessment}/readings/{item}/second", {
          params: { path: { assessment, item } },
          body,
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["readings", assessment] }),
  });
}
