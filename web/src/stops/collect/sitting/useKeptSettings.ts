import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { type SittingDraft, seenOf } from "./draft";

const KEY = ["kept-settings"];

/** Settings that a teacher has given a name, and how a draft begins with them. */
export function useKeptSettings() {
  const client = useQueryClient();
  const query = useQuery({ queryKey: KEY, queryFn: () => ok(api.GET("/api/kept-settings")) });
  const onSuccess = (all: Schemas["KeptSettingsLine"][]) => client.setQueryData(KEY, all);
  const keep = useMutation({
    mutationFn: ({ name, draft }: { name: string; draft: SittingDraft }) =>
      ok(
        api.PUT("/api/kept-settings", {
          body: {
            name,
            minutes: draft.minutes ? Number(draft.minutes) : null,
            settings: draft.settings,
            seen: seenOf(draft),
          },
        }),
      ),
    onSuccess,
  });
  const remove = useMutation({
    mutationFn: (kept: string) => ok(api.DELETE("/api/kept-settings/{kept}", { params: { path: { kept } } })),
    onSuccess,
  });
  return { all: query.data ?? [], keep, remove };
}

/** A draft taken as in kept settings: its dates and its code stay. */
export function asIn(draft: SittingDraft, kept: Schemas["KeptSettingsLine"]): SittingDraft {
  const { from: _, ...seen } = kept.seen;
  return {
    ...draft,
    minutes: kept.minutes === null ? "" : String(kept.minutes),
    settings: { ...kept.settings, code: draft.settings.code },
    seen: {
      ...seen,
      standards: seen.standards ?? "NEVER",
      classFigures: seen.classFigures ?? "NEVER",
    },
    seenFrom: "",
  };
}
