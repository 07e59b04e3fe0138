import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

export type Example = Schemas["ExampleView"];

/** The agreed examples of a question, those worth most first. */
export function useExamples(assessment: string, item: string) {
  const client = useQueryClient();
  const key = ["examples", assessment, item];
  const fresh = () => client.invalidateQueries({ queryKey: key });
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/readings/{item}/examples", {
          params: { path: { assessment, item } },
        }),
      ),
    staleTime: 300_000,
  });
  const keep = useMutation({
    mutationFn: (one: { answer: string; names: boolean; levels: Record<string, string>; why: string }) =>
      ok(
        api.PUT("/api/assessments/{assessment}/readings/{item}/{answer}/example", {
          params: { path: { assessment, item, answer: one.answer }, query: { names: one.names } },
          body: { levels: one.levels, why: one.why },
        }),
      ),
    onSuccess: fresh,
  });
  const remove = useMutation({
    mutationFn: (example: string) =>
      ok(
        api.DELETE("/api/assessments/{assessment}/readings/{item}/examples/{example}", {
          params: { path: { assessment, item, example } },
        }),
      ),
    onSuccess: fresh,
  });
  return { examples: query.data ?? [], keep, remove, error: query.error ?? keep.error ?? remove.error };
}
