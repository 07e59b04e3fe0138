import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";

export type CourseView = Schemas["CourseView"];

export function useCourse(course: string) {
  return useQuery({
    queryKey: ["course", course],
    queryFn: () => ok(api.GET("/api/courses/{course}", { params: { path: { course } } })),
  });
}

/** What a course's teachers do with it; what comes back is the course as it is now. */
export function useCourseWork(course: string) {
  const client = useQueryClient();
  const onSuccess = (view: CourseView) => {
    client.setQueryData(["course", course], view);
    void client.invalidateQueries({ queryKey: ["courses"] });
  };
  const path = { course };
  return {
    change: useMutation({
      mutationFn: (body: Schemas["CourseChange"]) =>
        ok(api.PUT("/api/courses/{course}", { params: { path }, body })),
      onSuccess,
    }),
    addSection: useMutation({
      mutationFn: (body: Schemas["SectionChange"]) =>
        ok(api.POST("/api/courses/{course}/sections", { params: { path }, body })),
      onSuccess,
    }),
    changeSection: useMutation({
      mutationFn: ({ section, ...body }: Schemas["SectionChange"] & { section: string }) =>
        ok(
          api.PUT("/api/courses/{course}/sections/{section}", {
            params: { path: { course, section } },
            body,
          }),
        ),
      onSuccess,
    }),
    removeSection: useMutation({
      mutationFn: (section: string) =>
        ok(api.DELETE("/api/courses/{course}/sections/{section}", { params: { path: { course, section } } })),
      onSuccess,
    }),
    addTeacher: useMutation({
      mutationFn: (person: string) =>
        ok(api.PUT("/api/courses/{course}/teachers/{person}", { params: { path: { course, person } } })),
      onSuccess,
    }),
    removeTeacher: useMutation({
      mutationFn: (person: string) =>
        ok(api.DELETE("/api/courses/{course}/teachers/{person}", { params: { path: { course, person } } })),
      onSuccess: () => client.invalidateQueries({ queryKey: ["course", course] }),
    }),
    addReader: useMutation({
      mutationFn: (person: string) =>
        ok(api.PUT("/api/courses/{course}/readers/{person}", { params: { path: { course, person } } })),
      onSuccess,
    }),
    removeReader: useMutation({
      mutationFn: (person: string) =>
        ok(api.DELETE("/api/courses/{course}/readers/{person}", { params: { path: { course, person } } })),
      onSuccess,
    }),
    addUnit: useMutation({
      mutationFn: (title: string) =>
        ok(api.POST("/api/courses/{course}/units", { params: { path }, body: { title } })),
      onSuccess,
    }),
    removeUnit: useMutation({
      mutationFn: (unit: string) =>
        ok(api.DELETE("/api/courses/{course}/units/{unit}", { params: { path: { course, unit } } })),
      onSuccess,
    }),
    addStudent: useMutation({
      mutationFn: (body: Schemas["NewStudent"]) =>
        ok(api.POST("/api/courses/{course}/students", { params: { path }, body })),
      onSuccess,
    }),
    move: useMutation({
      mutationFn: ({ student, section }: { student: string; section: string }) =>
        ok(
          api.PUT("/api/courses/{course}/students/{student}/section", {
            params: { path: { course, student } },
            body: { section },
          }),
        ),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (student: string) =>
        ok(api.DELETE("/api/courses/{course}/students/{student}", { params: { path: { course, student } } })),
      onSuccess,
    }),
    slips: useMutation({
      mutationFn: (body: Schemas["SlipChoice"]) =>
        ok(api.POST("/api/courses/{course}/slips", { params: { path }, body })),
    }),
  };
}
