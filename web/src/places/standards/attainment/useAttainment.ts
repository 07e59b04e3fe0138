import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

export type View = Schemas["AttainmentView"];
export type Row = Schemas["StandardRow"];
export type Student = Schemas["AttainmentStudent"];

export type Looked = { framework: string | null; section: string | null; bound: number | null };

/** Where the students of a course stand on each standard. */
export function useAttainment(course: string, { framework, section, bound }: Looked) {
  return useQuery({
    queryKey: ["attainment", course, framework, section, bound],
    queryFn: () =>
      ok(
        api.GET("/api/courses/{course}/attainment", {
          params: {
            path: { course },
            query: {
              ...(framework && { framework }),
              ...(section && { section }),
              ...(bound !== null && { bound }),
            },
          },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}

/** What an attainment rests on: of one student, or the questions only. */
export function useEvidence(course: string, framework: string, code: string, student: string | null) {
  return useQuery({
    queryKey: ["attainment", course, "evidence", framework, code, student],
    queryFn: () =>
      ok(
        api.GET("/api/courses/{course}/attainment/evidence", {
          params: { path: { course }, query: { framework, code, ...(student && { student }) } },
        }),
      ),
  });
}
