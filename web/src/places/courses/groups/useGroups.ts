import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

export type Group = Schemas["GroupLine"];

const keyOf = (course: string) => ["course", course, "groups"];

/** The groups of a course; nothing is asked before it is known which course. */
export function useGroups(course: string | undefined) {
  return useQuery({
    queryKey: keyOf(course ?? ""),
    enabled: course !== undefined,
    queryFn: () =>
      ok(api.GET("/api/courses/{course}/groups", { params: { path: { course: course ?? "" } } })),
  });
}

/** Making, changing and removing groups; what was removed can be put back. */
export function useGroupWork(course: string) {
  const client = useQueryClient();
  const onSuccess = (groups: Group[]) => client.setQueryData(keyOf(course), groups);
  const save = useMutation({
    mutationFn: ({ id, ...body }: Schemas["GroupWanted"] & { id: string | null }) =>
      id === null
        ? ok(api.POST("/api/courses/{course}/groups", { params: { path: { course } }, body }))
        : ok(
            api.PUT("/api/courses/{course}/groups/{group}", {
              params: { path: { course, group: id } },
              body,
            }),
          ),
    onSuccess,
    onError: () => client.invalidateQueries({ queryKey: keyOf(course) }),
  });
  const remove = useMutation({
    mutationFn: ({ id }: Group) =>
      ok(api.DELETE("/api/courses/{course}/groups/{group}", { params: { path: { course, group: id } } })),
    onSuccess,
  });
  return { save, remove };
}
