import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

export type ReaderView = Schemas["ReaderView"];
export type Scope = ReaderView["scope"];

/** Who reads beside the teachers, and which answers. */
export function useReaders(assessment: string) {
  const client = useQueryClient();
  const key = ["readers", assessment];
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      ok(api.GET("/api/assessments/{assessment}/readings/readers", { params: { path: { assessment } } })),
  });
  const plan = useMutation({
    mutationFn: ({ person, scope }: { person: string; scope: Scope }) =>
      ok(
        api.PUT("/api/assessments/{assessment}/readings/readers/{person}", {
          params: { path: { assessment, person } },
          body: scope,
        }),
      ),
    // Shown at once: the next change goes by it.
    onMutate: ({ person, scope }) => {
      client.setQueryData<ReaderView[]>(key, (before) =>
        before?.map((r) => (r.person === person ? { ...r, scope } : r)),
      );
    },
    onError: () => client.invalidateQueries({ queryKey: key }),
  });
  return { readers: query.data ?? [], plan, error: query.error ?? plan.error };
}
