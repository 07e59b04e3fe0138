import { useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { sectionQuery } from "../../Assessment";

export type StudentsView = Schemas["StudentsView"];
export type Student = Schemas["StudentRow"];
export type Question = Schemas["QuestionInTable"];

/** Every student's mark for every question. */
export function useStudents(assessment: string, section: string | null) {
  return useQuery({
    queryKey: ["assessment", assessment, "examine", section, "students"],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/examine/students", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
}
