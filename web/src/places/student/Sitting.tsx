import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { api, ok } from "../../api/client";
import { Loaded } from "../../parts/States";
import { HandedIn } from "./HandedIn";
import { Taking } from "./Taking";

/** A student's sitting: always saved, always saying so. */
export function Sitting() {
  const { attempt = "" } = useParams();
  const query = useQuery({
    queryKey: ["paper", attempt],
    queryFn: () => ok(api.GET("/api/student/attempts/{attempt}", { params: { path: { attempt } } })),
    staleTime: Number.POSITIVE_INFINITY,
    refetchOnWindowFocus: false,
  });
  return (
    <Loaded query={query}>
      {(paper) =>
        paper.handedIn || !paper.open ? (
          <HandedIn paper={paper} />
        ) : (
          <Taking key={paper.attempt} paper={paper} paperAt={query.dataUpdatedAt} />
        )
      }
    </Loaded>
  );
}
