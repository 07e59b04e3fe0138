import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import type { Definition } from "./definition";

const PAUSE = 500;
const STEPS = 200;

export type Saved = "saved" | "saving" | "unsaved" | "failed";

/**
 * The key while it is edited. Typing never waits: changes are kept here at once, with undo. Before giving out they are
 * saved by themselves after a short pause; afterwards they wait until a new edition is made.
 */
export function useDraft(assessment: string, loaded: Schemas["KeyView"]) {
  const client = useQueryClient();
  const [definition, setDefinition] = useState(loaded.definition as Definition);
  const [faults, setFaults] = useState(loaded.faults);
  const [state, setState] = useState<Saved>("saved");
  const revision = useRef(loaded.revision);
  const history = useRef<Definition[]>([]);
  const givenOut = loaded.edition !== null;

  const save = useMutation({
    mutationFn: (wanted: Definition) =>
      ok(
        api.PUT("/api/assessments/{assessment}/key", {
          params: { path: { assessment } },
          body: { definition: wanted, revision: revision.current },
        }),
      ),
    onSuccess: (saved, wanted) => {
      revision.current = saved.revision;
      setFaults(saved.faults);
      setState((s) => (s === "saving" ? "saved" : s));
      client.setQueryData(["key", assessment], {
        ...loaded,
        definition: wanted,
        revision: saved.revision,
        faults: saved.faults,
      });
      void client.invalidateQueries({ queryKey: ["assessment", assessment, "header"] });
    },
    onError: () => setState("failed"),
  });

  // biome-ignore lint/correctness/useExhaustiveDependencies: saving follows the definition alone
  useEffect(() => {
    if (state !== "unsaved" || givenOut || save.isPending) {
      return;
    }
    const timer = setTimeout(() => {
      setState("saving");
      save.mutate(definition);
    }, PAUSE);
    return () => clearTimeout(timer);
  }, [definition, state, givenOut, save.isPending]);

  const change = useCallback((make: (d: Definition) => Definition) => {
    setDefinition((before) => {
      history.current = [...history.current.slice(-STEPS), before];
      return make(before);
    });
    setState("unsaved");
  }, []);

  const undo = useCallback(() => {
    const before = history.current.pop();
    if (before) {
      setDefinition(before);
      setState("unsaved");
    }
  }, []);

  return { definition, change, undo, faults, state, error: save.error, givenOut };
}
