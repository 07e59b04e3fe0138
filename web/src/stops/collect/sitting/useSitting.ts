import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { same } from "../../../parts/same";
import { draftOf, type SittingDraft, seenOf, timesOf } from "./draft";

export type SittingView = Schemas["SittingView"];

/** A sitting as it stands. */
export const standsOf = (view: SittingView): SittingDraft =>
  draftOf(
    view.sitting,
    // Guests have it too, but are not chosen.
    view.students.filter((s) => view.section.some((o) => o.id === s.id)),
  );

/** A sitting with everything about it. */
export function useSitting(assessment: string, sitting: string) {
  return useQuery({
    queryKey: ["assessment", assessment, "sitting", sitting],
    queryFn: () => ok(api.GET("/api/sittings/{sitting}", { params: { path: { sitting } } })),
  });
}

/** What the typed times would do to those who are at work; asked only while somebody is. */
export function useTimesEffect(view: SittingView, draft: SittingDraft) {
  const times = timesOf(draft);
  const moved = times !== null && !same(times, timesOf(standsOf(view)));
  return useQuery({
    queryKey: ["times-effect", view.sitting.id, times],
    enabled: moved && view.working > 0,
    retry: false,
    queryFn: () =>
      ok(
        api.POST("/api/sittings/{sitting}/times/preview", {
          params: { path: { sitting: view.sitting.id } },
          body: times as Schemas["Times"],
        }),
      ),
  });
}

/** Saves what differs of a sitting, and what is different for some in it. */
export function useSittingChanges(view: SittingView) {
  const client = useQueryClient();
  const params = { params: { path: { sitting: view.sitting.id } } };
  const again = async () => {
    await client.invalidateQueries({ queryKey: ["assessment", view.assessment] });
    await client.invalidateQueries({ queryKey: ["key"] });
  };
  const save = useMutation({
    mutationFn: async (draft: SittingDraft) => {
      const was = standsOf(view);
      const times = timesOf(draft);
      if (!same(draft.students, was.students)) {
        await ok(
          api.PUT("/api/sittings/{sitting}/students", { ...params, body: { students: draft.students } }),
        );
      }
      if (times && !same(times, timesOf(was))) {
        await ok(api.PUT("/api/sittings/{sitting}/times", { ...params, body: times }));
      }
      if (!same(draft.settings, was.settings)) {
        await ok(api.PUT("/api/sittings/{sitting}/settings", { ...params, body: draft.settings }));
      }
      if (!same(seenOf(draft), seenOf(was))) {
        await ok(api.PUT("/api/sittings/{sitting}/seen", { ...params, body: seenOf(draft) }));
      }
      if (!same(draft.guests, was.guests)) {
        await ok(api.PUT("/api/sittings/{sitting}/guests", { ...params, body: draft.guests }));
      }
      if (draft.paperAfter !== was.paperAfter) {
        await ok(
          api.PUT("/api/sittings/{sitting}/paper-after", {
            ...params,
            body: { paperAfter: draft.paperAfter },
          }),
        );
      }
    },
    onSettled: again,
  });
  const withdraw = useMutation({
    mutationFn: () => ok(api.DELETE("/api/sittings/{sitting}", params)),
    onSuccess: again,
  });
  const differ = useMutation({
    mutationFn: (body: Schemas["DifferentWanted"]) =>
      ok(api.PUT("/api/sittings/{sitting}/different", { ...params, body })),
    onSuccess: again,
  });
  const sameAgain = useMutation({
    mutationFn: (student: string) =>
      ok(
        api.DELETE("/api/sittings/{sitting}/different/{student}", {
          params: { path: { sitting: view.sitting.id, student } },
        }),
      ),
    onSuccess: again,
  });
  return { save, withdraw, differ, sameAgain };
}
