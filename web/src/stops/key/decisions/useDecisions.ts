import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { useTyped } from "../../../parts/typed";
import type { DecidedGroup } from "../../settle/DecidedRows";

export type Lesson = Schemas["Lesson"];

/** One decision: what the key was taught, or what was decided for some students. */
export type OneDecision = {
  id: string;
  /** Null where the key stayed the same. */
  lesson: Lesson | null;
  /** Those who gave exactly this answer; none for a rule. */
  group: DecidedGroup | undefined;
};

type Effect = Schemas["EffectView"];

/** What was decided about a question since it was given out, each by itself. */
export function useDecisions(assessment: string, item: string) {
  const params = { path: { assessment }, query: { item } };
  const decided = useQuery({
    queryKey: ["assessment", assessment, "decided", item],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/doubts/decided", { params })),
  });
  const learned = useQuery({
    queryKey: ["assessment", assessment, "learned", item],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/doubts/learned", { params })),
  });
  const groups = decided.data ?? [];
  const all: OneDecision[] = [
    ...(learned.data ?? []).map(({ lesson, form }) => ({
      id: lesson.id,
      lesson,
      group: groups.find((g) => !g.these && g.form === form),
    })),
    ...groups
      .filter((g) => g.these)
      .map((g) => ({ id: `these:${g.form}:${g.credit}:${g.who}`, lesson: null, group: g })),
  ];
  return { all, error: decided.error ?? learned.error };
}

/** What was taken back: the edition by which that can be undone, null where the key stayed the same. */
type Done = { edition: number | null; job: string | null };

/** Taking one decision back: its effect first, then it goes while the others stay. */
export function useTakingBack(assessment: string, item: string, decision: OneDecision | undefined) {
  const client = useQueryClient();
  const path = { params: { path: { assessment } } };
  // The key is read anew when it has changed, and this page with it.
  const [done, setDone] = useTyped<Done | null>(`taken back:${assessment}:${item}`, null, sessionStorage);
  const fresh = async () => {
    await client.invalidateQueries({ queryKey: ["assessment", assessment] });
    await client.invalidateQueries({ queryKey: ["key", assessment] });
  };
  const unlearn = { item, lesson: decision?.lesson?.id ?? "" };
  const byHand = {
    item,
    form: decision?.group?.form ?? "",
    more: null,
    credit: decision?.group?.credit ?? "0",
    reach: "THESE" as const,
    phrase: null,
    note: null,
    section: null,
    saw: decision?.group?.saw ?? [],
    despite: null,
  };
  const preview = useQuery({
    queryKey: ["assessment", assessment, "taking-back", item, decision?.id],
    enabled: decision !== undefined,
    retry: false,
    queryFn: () =>
      ok<Effect>(
        decision?.lesson
          ? api.POST("/api/assessments/{assessment}/doubts/unlearn/preview", { ...path, body: unlearn })
          : api.POST("/api/assessments/{assessment}/doubts/take-back/preview", { ...path, body: byHand }),
      ),
  });
  const takeBack = useMutation({
    mutationFn: async (): Promise<Done> => {
      if (!decision?.lesson) {
        const effect = await ok(
          api.POST("/api/assessments/{assessment}/doubts/take-back", { ...path, body: byHand }),
        );
        return { edition: null, job: effect.job };
      }
      const done = await ok(
        api.POST("/api/assessments/{assessment}/doubts/unlearn", { ...path, body: unlearn }),
      );
      return { edition: done.edition, job: done.effect.job };
    },
    onSuccess: setDone,
    onSettled: fresh,
  });
  const undo = useMutation({
    mutationFn: (edition: number) =>
      ok(api.POST("/api/assessments/{assessment}/editions/undo", { ...path, body: { edition } })),
    onSuccess: () => setDone(null),
    onSettled: fresh,
  });
  return { preview, takeBack, undo, done, forget: () => setDone(null) };
}
