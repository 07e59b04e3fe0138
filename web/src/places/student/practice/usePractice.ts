import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, Problem, type Schemas } from "../../../api/client";
import { same } from "../../../parts/same";
import { t } from "../../../text";
import type { Said } from "../onDevice";

type LookedAt = Schemas["LookedAt"];
type Seen = { looked: LookedAt; answer: unknown };

/** Practising: one looks at an answer at once; what was looked at holds as long as the answer stays the same. */
export function usePractice(
  paper: Schemas["Paper"],
  mode: Schemas["OwnRules"]["practice"],
  said: Record<string, Said>,
  flush: () => Promise<boolean>,
) {
  const [seen, setSeen] = useState<Record<string, Seen>>(() =>
    Object.fromEntries(
      Object.entries(paper.looked).map(([id, looked]) => [id, { looked, answer: said[id]?.answer ?? null }]),
    ),
  );
  const look = useMutation({
    mutationFn: async (item: string) => {
      const answer = said[item]?.answer ?? null;
      if (!(await flush())) {
        throw new Problem(
          0,
          "unsent",
          t("Your answer is not sent yet. Look at it when there is a connection."),
          [],
        );
      }
      const looked = await ok(
        api.POST("/api/student/attempts/{attempt}/answers/{item}/look", {
          params: { path: { attempt: paper.attempt, item } },
        }),
      );
      return { item, looked, answer };
    },
    onSuccess: ({ item, looked, answer }) => setSeen((before) => ({ ...before, [item]: { looked, answer } })),
  });
  const of = (id: string): LookedAt | undefined => {
    const one = seen[id];
    return one && same(one.answer, said[id]?.answer ?? null) ? one.looked : undefined;
  };
  return {
    isOn: mode !== "NONE",
    of,
    isPassed: (id: string) => of(id)?.passed ?? false,
    /** It was looked at, where that is done once. */
    isFixed: (id: string) => mode === "ONCE" && seen[id] !== undefined,
    look: (id: string) => look.mutate(id),
    isLooking: (id: string) => look.isPending && look.variables === id,
    error: (id: string) => (look.variables === id ? look.error : null),
  };
}

export type Practice = ReturnType<typeof usePractice>;
