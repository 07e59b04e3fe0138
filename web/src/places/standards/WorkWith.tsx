import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** Which of one's courses work with a framework; a course can work with several. */
export function WorkWith({ framework }: { framework: string }) {
  const client = useQueryClient();
  const view = useQuery({
    queryKey: ["framework", framework],
    queryFn: () => ok(api.GET("/api/frameworks/{framework}", { params: { path: { framework } } })),
  });
  const courses = useQuery({
    queryKey: ["courses"],
    queryFn: () => ok(api.GET("/api/courses")),
    retry: false,
  });
  const done = () => client.invalidateQueries({ queryKey: ["framework", framework] });
  const use = useMutation({
    mutationFn: (course: string) =>
      ok(api.POST("/api/courses/{course}/frameworks", { params: { path: { course } }, body: { framework } })),
    onSuccess: done,
  });
  const leave = useMutation({
    mutationFn: (course: string) =>
      ok(
        api.DELETE("/api/courses/{course}/frameworks/{framework}", {
          params: { path: { course, framework } },
        }),
      ),
    onSuccess: done,
  });
  if (!courses.data || courses.data.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("Courses that use it")}>
      <ul>
        {courses.data.map((c) => {
          const on = view.data?.courses.some((v) => v.id === c.id) ?? false;
          return (
            <li key={c.id} className="flex items-baseline gap-3 border-b border-rule py-1">
              <span className="flex-1 font-script">{c.title}</span>
              <span className="text-small text-soft">{on ? t("yes") : t("no")}</span>
              <TextButton
                className="text-small underline"
                onClick={() => (on ? leave.mutate(c.id) : use.mutate(c.id))}
              >
                {on ? t("Stop using") : t("Use")}
              </TextButton>
            </li>
          );
        })}
      </ul>
      <Trouble error={use.error ?? leave.error} />
    </MarginPart>
  );
}
