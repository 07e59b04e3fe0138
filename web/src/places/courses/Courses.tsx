import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, Navigate, useLocation, useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";
import { SharedKeys } from "./SharedKeys";

const ALL = { all: true };

/** The courses that a teacher has, or the school for its administrator; a teacher's single one is opened at once. */
export function Courses() {
  const courses = useQuery({ queryKey: ["courses"], queryFn: () => ok(api.GET("/api/courses")) });
  const session = useQuery({ queryKey: ["session"], queryFn: () => ok(api.GET("/api/session")) });
  const place = useLocation();
  const asked = (place.state as typeof ALL | null)?.all || place.search === "?shared";
  return (
    <Loaded query={courses}>
      {(all) =>
        all.length === 1 && all[0] && session.data?.role === "TEACHER" && !asked ? (
          <Navigate to={`/courses/${all[0].id}`} replace />
        ) : (
          <Sheet margin={<NewCourse />}>
            <h1 className="px-6 py-5 font-script text-title font-semibold">{t("Courses")}</h1>
            {all.length === 0 && (
              <Empty title={t("No course yet.")}>
                {t("Begin one in the margin. Then give it sections, and bring in their rosters.")}
              </Empty>
            )}
            <CourseRows courses={all.filter((c) => !c.archived)} />
            {all.some((c) => c.archived) && (
              <details className="border-t border-rule px-6 py-3">
                <summary className="cursor-pointer">{t("Archived courses")}</summary>
                <CourseRows courses={all.filter((c) => c.archived)} />
              </details>
            )}
            {session.data?.role === "TEACHER" && (
              <div className="pt-6">
                <SharedKeys into={all.filter((c) => !c.archived)} />
              </div>
            )}
          </Sheet>
        )
      }
    </Loaded>
  );
}

/** Leads from a single course to the list of all. */
export function AllCourses() {
  return (
    <Link to="/courses" state={ALL} className="text-small underline">
      {t("All courses")}
    </Link>
  );
}

function CourseRows({ courses }: { courses: Schemas["CourseLine"][] }) {
  return courses.map((c) => (
    <Link
      key={c.id}
      to={`/courses/${c.id}`}
      className="block border-t border-rule px-6 py-3 font-script hover:bg-by-rule-wash"
    >
      <strong>{c.title}</strong>{" "}
      <span className="font-sans text-small text-soft">
        {[
          c.term,
          t("{{count}} sections", { count: c.sections }),
          t("{{count}} students", { count: c.students }),
          c.teachers || t("no teacher yet"),
        ]
          .filter(Boolean)
          .join(" · ")}
      </span>
    </Link>
  ));
}

function NewCourse() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [title, setTitle] = useState("");
  const [term, setTerm] = useState("");
  const make = useMutation({
    mutationFn: () => ok(api.POST("/api/courses", { body: { title, term } })),
    onSuccess: async ({ id }) => {
      // The list is fetched anew when it is next looked at: now, a list of one course would lead away by itself.
      await client.invalidateQueries({ queryKey: ["courses"], refetchType: "none" });
      await navigate(`/courses/${id}/roster`);
    },
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    make.mutate();
  };
  return (
    <MarginPart title={t("A new course")}>
      <form onSubmit={submit} className="grid gap-3">
        <Field
          label={t("Title of the course")}
          value={title}
          onChange={(e) => setTitle(e.target.value)}
          required
        />
        <Field label={t("Term (may be left empty)")} value={term} onChange={(e) => setTerm(e.target.value)} />
        <Trouble error={make.error} />
        <div>
          <Button look="strong" type="submit" disabled={make.isPending}>
            {t("Make the course")}
          </Button>
        </div>
      </form>
    </MarginPart>
  );
}
