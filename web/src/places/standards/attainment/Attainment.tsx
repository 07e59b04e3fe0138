import { useParams, useSearchParams } from "react-router";
import { useKeys } from "../../../parts/Keys";
import { Sheet } from "../../../parts/Sheet";
import { SmallSelect } from "../../../parts/SmallSelect";
import { Empty, Loaded } from "../../../parts/States";
import { TableOut } from "../../../parts/table/TableOut";
import { t } from "../../../text";
import { AttainmentMargin } from "./AttainmentMargin";
import { StandardTree } from "./StandardTree";
import { StudentTable } from "./StudentTable";
import { useAttainment, type View } from "./useAttainment";

/** What the students of a course can do, standard by standard. What is chosen stands in the address. */
export function Attainment() {
  const { course = "" } = useParams();
  const [params] = useSearchParams();
  const bound = params.get("bound");
  const query = useAttainment(course, {
    framework: params.get("framework"),
    section: params.get("section"),
    bound: bound === null ? null : Number(bound),
  });
  return <Loaded query={query}>{(view) => <Page course={course} view={view} />}</Loaded>;
}

function Page({ course, view }: { course: string; view: View }) {
  const [params, setParams] = useSearchParams();
  const rows = view.standards;
  const chosen =
    rows.find((r) => r.code === params.get("code")) ?? rows.find((r) => r.below.length > 0) ?? rows[0];
  const asStudents = params.get("view") === "students";
  const set = (changes: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [name, value] of Object.entries(changes)) {
      value ? next.set(name, value) : next.delete(name);
    }
    setParams(next, { replace: true });
  };
  const step = (by: number) => {
    const next = chosen && rows[rows.indexOf(chosen) + by];
    next && set({ code: next.code, student: null });
  };
  useKeys([
    ["j", t("next standard"), () => step(1)],
    ["k", t("previous standard"), () => step(-1)],
    ["Escape", t("back to all students"), () => set({ student: null })],
  ]);
  const asked = rows.filter((r) => r.mean !== null);
  const out = () => [
    [t("Student"), ...asked.map((r) => r.code)],
    ...view.students.map((s, i) => [
      `${s.family}, ${s.given}`,
      ...asked.map((r) => r.cells[i]?.percent ?? ""),
    ]),
  ];
  const section = view.sections.find((s) => s.id === params.get("section"));
  return (
    <Sheet
      margin={
        chosen && (
          <AttainmentMargin
            course={course}
            view={view}
            row={chosen}
            student={params.get("student")}
            onStudent={(id) => set({ student: id })}
          />
        )
      }
    >
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 px-6 pt-5 pb-2">
        <h1 className="font-script text-title font-semibold">
          {section
            ? t("What {{section}} can do", { section: section.name })
            : t("What students of {{course}} can do", { course: view.course })}
        </h1>
        <span className="text-small text-soft">
          {t("{{count}} assessments", { count: view.papers.length })}
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 px-6 pb-3 text-small text-soft">
        {view.frameworks.length > 1 && (
          <SmallSelect
            label={t("Framework")}
            value={view.framework ?? ""}
            onChange={(id) => set({ framework: id, code: null })}
            options={view.frameworks.map((f) => [f.id, `${f.title} ${f.version}`])}
          />
        )}
        <SmallSelect
          label={t("Section")}
          value={params.get("section") ?? ""}
          onChange={(id) => set({ section: id, student: null })}
          options={[["", t("all sections")], ...view.sections.map((s): [string, string] => [s.id, s.name])]}
        />
        <SmallSelect
          label={t("Below the level")}
          value={String(view.bound)}
          onChange={(b) => set({ bound: b })}
          options={view.way.levels.map((l, i): [string, string] => [String(i), l.label])}
        />
        <SmallSelect
          label={t("View")}
          value={asStudents ? "students" : ""}
          onChange={(v) => set({ view: v })}
          options={[
            ["", t("standards as a tree")],
            ["students", t("student by student")],
          ]}
        />
        <TableOut name={t("students and standards")} rows={out} />
      </div>
      {rows.length === 0 ? (
        <Empty title={t("No standards to look at.")}>
          {t(
            "Say in Standards which framework this course works with, then give its standards to questions.",
          )}
        </Empty>
      ) : asStudents ? (
        <StudentTable
          view={view}
          rows={asked}
          chosen={chosen}
          student={params.get("student")}
          onCell={(code, student) => set({ code, student })}
        />
      ) : (
        <StandardTree view={view} chosen={chosen} onChoose={(code) => set({ code, student: null })} />
      )}
    </Sheet>
  );
}
