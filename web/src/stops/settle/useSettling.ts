import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { useTyped } from "../../parts/typed";
import type { Decision } from "./decision";

type Made = { decision: Decision; decided: Schemas["Decided"] };

/** Decisions and taking them back, the last one first; what was decided in this window is kept over a reload. */
export function useSettling(assessment: string, onSettled: () => void) {
  const client = useQueryClient();
  const [last, setLast] = useTyped<Made[]>(`settled:${assessment}`, [], sessionStorage);
  const more = useRef(0);
  const path = { params: { path: { assessment } } };
  const fresh = () => client.invalidateQueries({ queryKey: ["assessment", assessment] });
  const settle = useMutation({
    mutationFn: (d: Decision) => ok(api.POST("/api/assessments/{assessment}/doubts", { ...path, body: d })),
    onSuccess: async (decided, decision) => {
      setLast([...last, { decision, decided }]);
      onSettled();
      await fresh();
    },
    // What a colleague decided meanwhile is to be seen at once.
    onError: fresh,
  });
  const undo = useMutation({
    mutationFn: ({ decision, decided }: Made) =>
      decided.edition === null
        ? ok(
            api.POST("/api/assessments/{assessment}/doubts/take-back", {
              ...path,
              body: { ...decision, saw: decided.saw, more: decided.more },
            }),
          )
        : ok(
            api.POST("/api/assessments/{assessment}/editions/undo", {
              ...path,
              body: { edition: decided.edition },
            }),
          ),
    onSuccess: () => {
      setLast(last.slice(0, -1));
      return fresh();
    },
    onError: () => {
      more.current = 0;
    },
  });
  const takeBack = () => {
    const made = last.at(-1);
    if (undo.isPending) {
      more.current++;
    } else if (made) {
      undo.mutate(made);
    }
  };
  // Pressed while one was on its way: one after the other.
  useEffect(() => {
    if (!undo.isPending && more.current > 0) {
      more.current--;
      takeBack();
    }
  });
  return {
    settle,
    undoable: last.length,
    takeBack,
    error: settle.error ?? undo.error,
    work: settle.data?.effect.job ?? undo.data?.job ?? null,
  };
}
