import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { isTyping } from "../../parts/Keys";
import { same } from "../../parts/same";
import { useTypedStore } from "../../parts/typed";
import type { Definition } from "./definition";
import { changing, type History, none, redone, undone } from "./history";
import { type Meanwhile, merge } from "./merge";

const PAUSE = 500;

export type Saved = "saved" | "saving" | "unsaved" | "failed";

/** Changes that were not saved when the page was left, and what they began from. */
type Left = { definition: Definition; base: Definition };

/** The same on the key as it is now; null when nothing of it is left to save. */
function broughtBack(left: Left | null, loaded: Schemas["KeyView"]) {
  if (!left) {
    return null;
  }
  const now = loaded.definition as Definition;
  const { merged, meanwhile } = merge(left.base, left.definition, now, loaded.changedBy ?? "");
  if (same(merged, now)) {
    return null;
  }
  return { merged, meanwhile: same(left.base, now) ? null : meanwhile };
}

/**
 * The key while it is edited. Typing never waits: changes are kept here at once, with undo. Before giving out they are
 * saved by themselves after a short pause; afterwards they wait until a new edition is made. When a colleague saved in
 * between, both changes are brought together and what the colleague changed is told.
 */
export function useDraft(assessment: string, loaded: Schemas["KeyView"]) {
  const client = useQueryClient();
  const typed = useTypedStore<Left>(`key:${assessment}`);
  const [left] = useState(() => broughtBack(typed.read(), loaded));
  const [definition, setDefinition] = useState(left?.merged ?? (loaded.definition as Definition));
  const [checked, setChecked] = useState({ faults: loaded.faults, broken: loaded.broken });
  const [state, setState] = useState<Saved>(left ? "unsaved" : "saved");
  const [meanwhile, setMeanwhile] = useState<Meanwhile | null>(left?.meanwhile ?? null);
  const [edition, setEdition] = useState(loaded.edition ?? 0);
  const revision = useRef(loaded.revision);
  const base = useRef(loaded.definition as Definition);
  const history = useRef<History<Definition>>(none());
  const [steps, setSteps] = useState({ undo: false, redo: false });
  const givenOut = loaded.edition !== null;

  // What is not saved yet stays on this device, if the page is left before it is; a long key is not written at each letter.
  const keep = useRef(() => {});
  useEffect(() => {
    keep.current = () => typed.keep(state === "saved" ? null : { definition, base: base.current });
    const timer = setTimeout(keep.current, PAUSE);
    return () => clearTimeout(timer);
  }, [typed, definition, state]);
  useEffect(() => {
    const now = () => keep.current();
    window.addEventListener("pagehide", now);
    return () => {
      window.removeEventListener("pagehide", now);
      now();
    };
  }, []);

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
      base.current = wanted;
      setChecked({ faults: saved.faults, broken: saved.broken });
      setState((s) => (s === "saving" ? "saved" : s));
      client.setQueryData(["key", assessment], { ...loaded, ...saved, definition: wanted });
      void client.invalidateQueries({ queryKey: ["assessment", assessment, "header"] });
    },
    onError: async (error) => {
      if (error instanceof Problem && error.code === "changed-meanwhile") {
        await takeTheirs();
      } else {
        setState("failed");
      }
    },
  });

  const takeTheirs = async () => {
    try {
      const theirs = await ok(
        api.GET("/api/assessments/{assessment}/key", { params: { path: { assessment } } }),
      );
      revision.current = theirs.revision;
      setEdition(theirs.edition ?? 0);
      const other = theirs.definition as Definition;
      setDefinition((mine) => {
        const { merged, meanwhile: found } = merge(base.current, mine, other, theirs.changedBy ?? "");
        base.current = other;
        setMeanwhile(found);
        return merged;
      });
      setState("unsaved");
    } catch {
      setState("failed");
    }
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: saving follows the definition alone
  useEffect(() => {
    if ((state !== "unsaved" && state !== "failed") || givenOut || save.isPending) {
      return;
    }
    // What could not be saved is tried again by itself, more slowly.
    const timer = setTimeout(
      () => {
        setState("saving");
        save.mutate(definition);
      },
      state === "failed" ? 10 * PAUSE : PAUSE,
    );
    return () => clearTimeout(timer);
  }, [definition, state, givenOut, save.isPending]);

  const current = useRef(definition);
  current.current = definition;
  const show = useCallback((next: Definition, h: History<Definition>) => {
    history.current = h;
    current.current = next;
    setDefinition(next);
    setSteps({ undo: h.past.length > 0, redo: h.future.length > 0 });
    setState("unsaved");
  }, []);

  const change = useCallback(
    (make: (d: Definition) => Definition) => {
      const before = current.current;
      const field = isTyping(document.activeElement) ? document.activeElement : null;
      show(make(before), changing(history.current, before, field, Date.now()));
    },
    [show],
  );

  const undo = useCallback(() => {
    const back = undone(history.current, current.current);
    if (back) {
      show(back[1], back[0]);
    }
  }, [show]);

  const redo = useCallback(() => {
    const again = redone(history.current, current.current);
    if (again) {
      show(again[1], again[0]);
    }
  }, [show]);

  const discard = () => {
    history.current = none();
    setSteps({ undo: false, redo: false });
    setDefinition(base.current);
    setState("saved");
  };

  const error = save.error instanceof Problem && save.error.code === "changed-meanwhile" ? null : save.error;
  return {
    definition,
    change,
    undo,
    redo,
    steps,
    /** Leaves all that is not saved. */
    discard,
    faults: checked.faults,
    broken: checked.broken,
    state,
    error,
    givenOut,
    /** The edition that these changes began from; 0 before giving out. */
    edition,
    takeTheirs,
    meanwhile,
    forget: () => setMeanwhile(null),
  };
}
