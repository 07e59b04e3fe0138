import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok } from "../../api/client";

/** Who could be the same person, and what becomes of people who are twice or are to be forgotten. */
export function useLifetime(person: string) {
  const client = useQueryClient();
  const path = { params: { path: { person } } };
  const onSuccess = () => client.invalidateQueries({ queryKey: ["people"] });
  return {
    twins: useQuery({
      queryKey: ["people", person, "twins"],
      queryFn: () => ok(api.GET("/api/people/{person}/twins", path)),
    }),
    merge: useMutation({
      mutationFn: (other: string) => ok(api.POST("/api/people/{person}/merge", { ...path, body: { other } })),
      onSuccess,
    }),
    erase: useMutation({
      mutationFn: (name: string) => ok(api.POST("/api/people/{person}/erase", { ...path, body: { name } })),
      onSuccess,
    }),
  };
}
