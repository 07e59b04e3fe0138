import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, ok } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { foundBy } from "../../parts/foundBy";
import { useKeys } from "../../parts/Keys";
import { LineInSmall } from "../../parts/LineOfWork";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { AboutInShort } from "./AboutInShort";
import { AssessmentIn } from "./AssessmentIn";
import { CourseSettings } from "./CourseSettings";
import { AllCourses } from "./Courses";
import { useNewAssessment } from "./NewAssessment";
import { SharedKeys } from "./SharedKeys";
import { grouped, UnitOf, Units } from "./Units";
import { type CourseView, useCourse } from "./useCourse";

/** A list of so many is seen at a glance. */
const FEW = 4;

/** A course: its assessments with their line in small, by unit; its sections in the margin. */
export function Course() {
  const { course = "" } = useParams();
  const query = useCourse(course);
  const session = useQuery({ queryKey: ["session"], queryFn: () => ok(api.GET("/api/session")) });
  const mayWrite = session.data?.role === "TEACHER";
  return (
    <Loaded query={query}>
      {(view) => (
        <Sheet margin={<CourseMargin view={view} mayWrite={mayWrite} />}>
          <div className="flex items-baseline justify-between px-6 pt-5 pb-4">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <h1 className="font-script text-title font-semibold">{view.title}</h1>
              <p className="text-soft">
                {[view.term, view.archived ? t("archived") : ""].filter(Boolean).join(" · ")}
              </p>
            </div>
            <AllCourses />
          </div>
          {mayWrite ? (
            <>
              <AssessmentRows view={view} />
              <SharedKeys into={[view]} />
            </>
          ) : (
            <Empty title={t("Assessments are seen by the course’s teachers.")}>
              {view.teachers.map((p) => p.name).join(", ") ||
                t("It has no teacher yet: add one in Rosters and teachers.")}
            </Empty>
          )}
        </Sheet>
      )}
    </Loaded>
  );
}

function AssessmentRows({ view }: { view: CourseView }) {
  const course = view.id;
  const begin = useNewAssessment(course);
  useKeys([["k", t("write a key"), () => begin.ask()]]);
  const [words, setWords] = useState("");
  const query = useQuery({
    queryKey: ["assessments", course],
    queryFn: () => ok(api.GET("/api/courses/{course}/assessments", { params: { path: { course } } })),
  });
  return (
    <Loaded query={query}>
      {(all) => (
        <>
          {all.length === 0 && (
            <Empty title={t("No assessment yet.")}>
              {t("Write a key. Its assessment appears here with its line.")}
            </Empty>
          )}
          {all.length > FEW && (
            <div className="px-6 pb-3">
              <Field
                label={t("Narrow by title, code or label")}
                placeholder={t("Narrow by title, code or label")}
                hidden
                value={words}
                className="max-w-sm"
                onChange={(e) => setWords(e.target.value)}
              />
              {words.trim() !== "" &&
                !all.some((a) => foundBy(words, [a.title, a.about.code, ...a.about.labels])) && (
                  <p className="mt-2 text-soft" role="status">
                    {t("None has all of these words.")}
                  </p>
                )}
            </div>
          )}
          {grouped(
            all.filter(
              (a) => all.length <= FEW || foundBy(words, [a.title, a.about.code, ...a.about.labels]),
            ),
            view.units,
          ).map(([title, rows]) => (
            <section key={title}>
              {title && <h2 className="px-6 pt-4 pb-1 text-small font-semibold text-soft">{title}</h2>}
              <ul className="border-t border-rule">
                {rows.map((a) => (
                  <li key={a.id} className="flex items-start border-b border-rule hover:bg-by-rule-wash">
                    <Link to={`/a/${a.id}/key`} className="block min-w-0 flex-1 px-6 py-2.5">
                      <span className="font-script text-words font-semibold">{a.title}</span>{" "}
                      <span className="text-small text-soft">{a.sections.join(", ")}</span>{" "}
                      <AboutInShort about={a.about} />
                      <LineInSmall line={a.line} />
                    </Link>
                    {view.units.length > 0 && <UnitOf course={course} assessment={a} units={view.units} />}
                  </li>
                ))}
              </ul>
            </section>
          ))}
          <div className="flex flex-wrap gap-3 px-6 py-5">
            <Button hotkey="K" onClick={() => begin.ask()}>
              {t("Write a key")}
            </Button>
            {begin.form}
          </div>
        </>
      )}
    </Loaded>
  );
}

function CourseMargin({ view, mayWrite }: { view: CourseView; mayWrite: boolean }) {
  return (
    <>
      <MarginPart title={t("Sections")}>
        <ul className="mb-2">
          {view.sections.map((s) => (
            <li key={s.id} className="border-b border-rule py-1">
              <strong>{s.name}</strong>{" "}
              <span className="text-small text-soft">
                {[t("{{count}} students", { count: s.students }), s.teacher].filter(Boolean).join(" · ")}
              </span>
            </li>
          ))}
          {view.sections.length === 0 && (
            <li className="text-soft">{t("No section yet: bring in a roster, or add sections by hand.")}</li>
          )}
        </ul>
        <p className="flex flex-wrap gap-x-4">
          <Link className="underline" to={`/courses/${view.id}/roster`}>
            {t("Rosters and teachers")}
          </Link>
          <Link className="underline" to={`/courses/${view.id}/roster-in`}>
            {t("Bring in a roster")}
          </Link>
        </p>
      </MarginPart>
      <Units view={view} />
      {mayWrite && <AssessmentIn course={view.id} />}
      <CourseSettings key={view.revision} view={view} />
    </>
  );
}
