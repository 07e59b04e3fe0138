import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";

export type BroughtIn = Schemas["BroughtInLine"];

/** The files of answers that came in, and taking one back. */
export function useBroughtIn(assessment: string) {
  const client = useQueryClient();
  const path = { assessment };
  const files = useQuery({
    queryKey: ["assessment", assessment, "brought-in"],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/brought-in", { params: { path } })),
  });
  const takeBack = useMutation({
    mutationFn: ({ file, withReadings }: { file: string; withReadings: boolean }) =>
      ok(
        api.POST("/api/assessments/{assessment}/brought-in/{broughtIn}/take-back", {
          params: { path: { assessment, broughtIn: file } },
          body: { withReadings },
        }),
      ),
    onSettled: () => {
      void client.invalidateQueries({ queryKey: ["assessment", assessment] });
      void client.invalidateQueries({ queryKey: ["key", assessment] });
    },
  });
  return { files: files.data ?? [], error: files.error, takeBack };
}
