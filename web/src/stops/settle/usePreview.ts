import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { api, ok } from "../../api/client";
import { useSettled } from "../../parts/useSettled";
import { type Decision, decisionOf, type Group, PLAIN } from "./decision";

/** So many of the next groups have their effect fetched ahead. */
const AHEAD = 3;

/** Where one takes longer, so many answers are scored for it that none is asked for without need. */
const SLOW_MS = 300;

const query = (assessment: string, decision: Decision) => ({
  queryKey: ["assessment", assessment, "doubt-preview", { ...decision, note: null, despite: null }],
  queryFn: () =>
    ok(
      api.POST("/api/assessments/{assessment}/doubts/preview", {
        params: { path: { assessment } },
        body: { ...decision, note: null },
      }),
    ),
  staleTime: 60_000,
});

/**
 * The effect of a decision before it is made, words of a rule when they rest; the effects of other shares and of the next
 * groups are there before they are asked for.
 */
export function usePreview(
  assessment: string,
  decision: Decision | undefined,
  next: Group[],
  section: string | null,
) {
  const client = useQueryClient();
  const phrase = useSettled(decision?.phrase);
  const asked = decision && { ...decision, phrase: phrase ?? null };
  const rests = asked?.phrase === decision?.phrase;
  const preview = useQuery({
    ...query(assessment, asked as Decision),
    enabled: asked !== undefined && rests,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const isThere = preview.isSuccess && !preview.isPlaceholderData;
  useEffect(() => {
    if (!isThere || !decision || decision.reach !== "EXACT") {
      return;
    }
    const ahead = [
      ...["1", "1/2", "0"].map((credit) => ({ ...decision, credit })),
      ...next.slice(0, AHEAD).map((g) => decisionOf(decision.item, [g], PLAIN, section) as Decision),
    ];
    let stopped = false;
    void (async () => {
      // One after the other: what a person asks for meanwhile does not wait for them.
      for (const one of ahead) {
        const begun = performance.now();
        if (!stopped) {
          await client.prefetchQuery(query(assessment, one));
        }
        if (performance.now() - begun > SLOW_MS) {
          return;
        }
      }
    })();
    return () => {
      stopped = true;
    };
  }, [isThere, decision, next, section, assessment, client]);
  return { ...preview, isOf: isThere && rests };
}
