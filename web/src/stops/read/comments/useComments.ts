import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

export type Comment = Schemas["CommentLine"];

const KEY = ["comments"];

/** In how many answers one's own reading says a kept comment. */
export function useSaidIn(comment: string, wanted: boolean) {
  return useQuery({
    queryKey: [...KEY, comment, "said"],
    enabled: wanted,
    queryFn: () => ok(api.GET("/api/comments/{comment}/said", { params: { path: { comment } } })),
  });
}

/** The comments that a reader keeps, those used most first. */
export function useComments() {
  const client = useQueryClient();
  const fresh = () => client.invalidateQueries({ queryKey: KEY });
  const query = useQuery({
    queryKey: KEY,
    queryFn: () => ok(api.GET("/api/comments")),
    staleTime: 300_000,
  });
  const keep = useMutation({
    mutationFn: ({ text, letter }: { text: string; letter?: string | null }) =>
      ok(api.POST("/api/comments", { body: { text, letter: letter ?? null } })),
    onSuccess: fresh,
  });
  const change = useMutation({
    mutationFn: (c: { id: string; text: string; letter: string | null }) =>
      ok(
        api.PUT("/api/comments/{comment}", {
          params: { path: { comment: c.id } },
          body: { text: c.text, letter: c.letter },
        }),
      ),
    onSuccess: fresh,
  });
  const everywhere = useMutation({
    mutationFn: (c: { id: string; text: string; letter: string | null }) =>
      ok(
        api.PUT("/api/comments/{comment}/everywhere", {
          params: { path: { comment: c.id } },
          body: { text: c.text, letter: c.letter },
        }),
      ),
    onSuccess: async () => {
      await fresh();
      await client.invalidateQueries({ queryKey: ["readings"] });
    },
  });
  const remove = useMutation({
    mutationFn: (c: Comment) =>
      ok(api.DELETE("/api/comments/{comment}", { params: { path: { comment: c.id } } })),
    onSuccess: fresh,
  });
  const used = useMutation({
    mutationFn: (c: Comment) =>
      ok(api.POST("/api/comments/{comment}/used", { params: { path: { comment: c.id } } })),
    onSuccess: fresh,
  });
  return {
    comments: query.data ?? [],
    keep,
    change,
    everywhere,
    remove,
    used,
    error: query.error ?? keep.error ?? change.error ?? everywhere.error ?? remove.error,
  };
}
