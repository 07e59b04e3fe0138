import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";

const LETTERS_LOOKED_FOR = 3_000;

export type Person = Schemas["PersonLine"];
export type Entry = Schemas["PersonEntry"];

/** The people of the school, and what an administrator does with them. */
export function usePeople() {
  return useQuery({
    queryKey: ["people"],
    queryFn: () => ok(api.GET("/api/people")),
    // While letters are on their way, what becomes of them is looked for.
    refetchInterval: (query) =>
      query.state.data?.some((p) => p.letter?.state === "WAITING") ? LETTERS_LOOKED_FOR : false,
  });
}

export function usePersonWork() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ["people"] });
  const path = (person: string) => ({ params: { path: { person } } });
  return {
    add: useMutation({
      mutationFn: (body: Entry) => ok(api.POST("/api/people", { body })),
      onSuccess,
    }),
    change: useMutation({
      mutationFn: ({ id, entry }: { id: string; entry: Entry }) =>
        ok(api.PUT("/api/people/{person}", { ...path(id), body: entry })),
      onSuccess,
    }),
    disable: useMutation({
      mutationFn: ({ id, disabled }: { id: string; disabled: boolean }) =>
        ok(api.PUT("/api/people/{person}/disabled", { ...path(id), body: { disabled } })),
      onSuccess,
    }),
    link: useMutation({
      mutationFn: (id: string) => ok(api.POST("/api/people/{person}/link", path(id))),
    }),
    codes: useMutation({
      mutationFn: (people: string[]) => ok(api.POST("/api/people/codes", { body: { people } })),
    }),
    invite: useMutation({
      mutationFn: (people: string[]) => ok(api.POST("/api/people/invitations", { body: { people } })),
      onSuccess,
    }),
  };
}
