import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

export type About = Schemas["AboutView"];

/** By what an assessment is found beside its title, and saving it. */
export function useAbout(assessment: string) {
  const client = useQueryClient();
  const path = { assessment };
  const key = ["about", assessment];
  const about = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/about", { params: { path } })),
    // What is being typed is never replaced under the hands.
    refetchOnWindowFocus: false,
  });
  const save = useMutation({
    mutationFn: (body: Schemas["AboutChange"]) =>
      ok(api.PUT("/api/assessments/{assessment}/about", { params: { path }, body })),
    onSuccess: (view) => {
      client.setQueryData(key, view);
      void client.invalidateQueries({ queryKey: ["assessments"] });
      void client.invalidateQueries({ queryKey: ["shared-keys"] });
    },
    // Where a colleague was quicker, theirs is fetched: saving again is then a decision.
    onError: () => client.invalidateQueries({ queryKey: key }),
  });
  return { about, save };
}
