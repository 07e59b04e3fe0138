import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import type { useDone } from "./useDone";

export type Remedy = Schemas["Remedy"];

/** What a remedy would do, and doing it. */
export function useRemedy(assessment: string, wanted: Remedy | null, done: ReturnType<typeof useDone>) {
  const path = { params: { path: { assessment } } };
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
  const make = useMutation({
    mutationFn: (remedy: Remedy) =>
      ok(api.POST("/api/assessments/{assessment}/examine/remedies", { ...path, body: remedy })),
    onSuccess: ({ words, edition }) => {
      done.note({ words, edition });
      return done.fresh();
    },
    onError: done.fresh,
  });
  return { preview, make };
}
