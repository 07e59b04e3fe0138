import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { useSettled } from "../../parts/useSettled";
import type { Definition } from "./definition";

/** What a key comes to while it is edited: points, time, coverage, parts and draws. Typing never waits for it. */
export function usePaperSums(assessment: string, definition: Definition) {
  const asked = useSettled(definition);
  return useQuery({
    queryKey: ["paper-sums", assessment, asked],
    queryFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/sums", {
          params: { path: { assessment } },
          body: { definition: asked },
        }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
  });
}
