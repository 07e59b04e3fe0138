import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { api, ok, type Schemas } from "../../../api/client";

export type HintsView = Schemas["HintsView"];
export type HintPlan = Schemas["HintPlan"];
type Asked = { assessment: string; item: string; names: boolean };

const hintsOf = ({ assessment, item, names }: Asked, answer: string) => ({
  queryKey: ["hints", assessment, item, names, answer],
  queryFn: () =>
    ok(
      api.GET("/api/assessments/{assessment}/readings/{item}/{answer}/hints", {
        params: { path: { assessment, item, answer }, query: { names } },
      }),
    ),
  staleTime: 60_000,
});

/** What is pointed out beside an answer; it comes after the answer, and that of the next one is fetched ahead. */
export function useHints(asked: Asked, answer: string, next: string | undefined): HintsView | undefined {
  const client = useQueryClient();
  const query = useQuery(hintsOf(asked, answer));
  const isHere = query.data !== undefined;
  const { assessment, item, names } = asked;
  useEffect(() => {
    if (isHere && next) {
      void client.prefetchQuery(hintsOf({ assessment, item, names }, next));
    }
  }, [client, isHere, next, assessment, item, names]);
  return query.data;
}

/** Which hints a question's readers are given. */
export function useHintPlan({ assessment, item }: { assessment: string; item: string }) {
  const client = useQueryClient();
  const key = ["hint-plan", assessment, item];
  const path = { assessment, item };
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      ok(api.GET("/api/assessments/{assessment}/readings/{item}/hint-plan", { params: { path } })),
  });
  const change = useMutation({
    mutationFn: (plan: HintPlan) =>
      ok(
        api.PUT("/api/assessments/{assessment}/readings/{item}/hint-plan", { params: { path }, body: plan }),
      ),
    onSuccess: (plan) => {
      client.setQueryData(key, plan);
      void client.invalidateQueries({ queryKey: ["hints", assessment, item] });
    },
  });
  return { plan: query.data, change, error: query.error ?? change.error };
}
