import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { useTyped } from "../../../parts/typed";

export type Remedy = Schemas["Remedy"];

/** What a remedy would do, doing it, and undoing it; what was done stays undoable over a reload. */
export function useRemedy(assessment: string, wanted: Remedy | null) {
  const client = useQueryClient();
  const path = { params: { path: { assessment } } };
  const [done, setDone] = useTyped<{ words: string; edition: number } | null>(
    `remedy:${assessment}`,
    null,
    sessionStorage,
  );
  const preview = useQuery({
    queryKey: ["assessment", assessment, "remedy", wanted],
    queryFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/examine/remedies/preview", {
          ...path,
          body: wanted as Remedy,
        }),
      ),
    enabled: wanted !== null,
    retry: false,
    placeholderData: keepPreviousData,
  });
  const fresh = () =>
    Promise.all([
      client.invalidateQueries({ queryKey: ["assessment", assessment] }),
      client.invalidateQueries({ queryKey: ["key", assessment] }),
    ]);
  const make = useMutation({
    mutationFn: (remedy: Remedy) =>
      ok(api.POST("/api/assessments/{assessment}/examine/remedies", { ...path, body: remedy })),
    onSuccess: (made) => {
      setDone({ words: made.words, edition: made.edition });
      return fresh();
    },
    onError: fresh,
  });
  const undo = useMutation({
    mutationFn: (edition: number) =>
      ok(api.POST("/api/assessments/{assessment}/editions/undo", { ...path, body: { edition } })),
    onSuccess: () => {
      setDone(null);
      return fresh();
    },
    onError: fresh,
  });
  return { preview, make, undo, done };
}
