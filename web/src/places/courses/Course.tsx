import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { LineInSmall } from "../../parts/LineOfWork";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { AssessmentIn } from "./AssessmentIn";
import { useNewAssessment } from "./NewAssessment";
import { RosterIn } from "./RosterIn";
import { SharedKeys } from "./SharedKeys";

/** A course: its assessments with their line in small; sections and rosters in the margin. */
export function Course() {
  const { course = "" } = useParams();
  const query = useQuery({
    queryKey: ["course", course],
    queryFn: () => ok(api.GET("/api/courses/{course}", { params: { path: { course } } })),
  });
  return (
    <Loaded query={query}>
      {(view) => (
        <Sheet margin={<Rosters view={view} />}>
          <h1 className="px-6 pt-5 pb-4 font-script text-title font-semibold">{view.title}</h1>
          <AssessmentRows course={course} />
          <SharedKeys course={course} />
        </Sheet>
      )}
    </Loaded>
  );
}

function AssessmentRows({ course }: { course: string }) {
  const begin = useNewAssessment(course);
  useKeys([["k", t("write a key"), () => begin.ask()]]);
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
          <ul className="border-t border-rule">
            {all.map((a) => (
              <li key={a.id} className="border-b border-rule">
                <Link to={`/a/${a.id}/key`} className="block px-6 py-2.5 hover:bg-by-rule-wash">
                  <span className="font-script text-words font-semibold">{a.title}</span>{" "}
                  <span className="text-small text-soft">{a.sections.join(", ")}</span>
                  <LineInSmall line={a.line} />
                </Link>
              </li>
            ))}
          </ul>
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

function Rosters({ view }: { view: Schemas["CourseView"] }) {
  return (
    <>
      {view.sections.map((s) => (
        <MarginPart
          key={s.id}
          title={`${s.name}${s.teacher ? ` · ${s.teacher}` : ""} · ${t("{{count}} students", { count: s.students })}`}
        >
          <details>
            <summary className="cursor-pointer">{t("The roster")}</summary>
            <ul className="mt-1 columns-2 text-small">
              {view.students
                .filter((p) => p.section === s.id)
                .map((p) => (
                  <li key={p.id}>{`${p.family}, ${p.given}`}</li>
                ))}
            </ul>
          </details>
        </MarginPart>
      ))}
      {view.sections.length === 0 && (
        <p className="mb-4 text-soft">{t("No section yet: bring in a roster.")}</p>
      )}
      <RosterIn course={view.id} />
      <AssessmentIn course={view.id} />
    </>
  );
}
