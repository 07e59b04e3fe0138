import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { type SittingDraft, seenOf, timesOf } from "./draft";

/** Gives an assessment out to a section, as it is typed, and goes where one sees what comes of it. */
export function useGiveOut(assessment: string, toSitting: boolean) {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: ({ section, draft }: { section: string; draft: SittingDraft }) =>
      ok(
        api.POST("/api/assessments/{assessment}/sittings", {
          params: { path: { assessment } },
          body: {
            section,
            ...(timesOf(draft) as Schemas["Times"]),
            paperAfter: draft.paperAfter,
            settings: draft.settings,
            seen: seenOf(draft),
            students: draft.students,
            guests: draft.guests,
          },
        }),
      ),
    onSuccess: ({ sitting }) => {
      void client.invalidateQueries({ queryKey: ["assessment", assessment] });
      void client.invalidateQueries({ queryKey: ["key", assessment] });
      void navigate(toSitting ? `/a/${assessment}/sittings/${sitting}` : `/a/${assessment}/collect`);
    },
  });
}
