import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

export type Comment = Schemas["CommentLine"];

const KEY = ["comments"];

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
    remove,
    used,
    error: query.error ?? keep.error ?? change.error ?? remove.error,
  };
}
