import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, ok } from "../../../api/client";
import { useTyped } from "../../../parts/typed";

type Made = { words: string; edition: number };

/** What was done from Examine in this window, the last one undone first; kept over a reload. */
export function useDone(assessment: string) {
  const client = useQueryClient();
  const [made, setMade] = useTyped<Made[]>(`remedies:${assessment}`, [], sessionStorage);
  const fresh = () =>
    Promise.all([
      client.invalidateQueries({ queryKey: ["assessment", assessment] }),
      client.invalidateQueries({ queryKey: ["key", assessment] }),
    ]);
  const last = made.at(-1);
  const undoing = useMutation({
    mutationFn: ({ edition }: Made) =>
      ok(
        api.POST("/api/assessments/{assessment}/editions/undo", {
          params: { path: { assessment } },
          body: { edition },
        }),
      ),
    onSuccess: () => {
      setMade(made.slice(0, -1));
      return fresh();
    },
    onError: fresh,
  });
  return {
    last,
    fresh,
    note: (one: Made) => setMade([...made, one]),
    undo: () => last && !undoing.isPending && undoing.mutate(last),
    undoing,
  };
}
