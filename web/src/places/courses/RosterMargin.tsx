import { useQuery } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { api, ok } from "../../api/client";
import { AddOne } from "../../parts/AddOne";
import { Button, TextButton } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Field } from "../../parts/Field";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { Groups } from "./groups/Groups";
import type { CourseView, useCourseWork } from "./useCourse";

type Work = ReturnType<typeof useCourseWork>;

/** What is done with rosters beside a single row: students by hand, codes, sections, teachers. */
export function RosterMargin({ view, work, section }: { view: CourseView; work: Work; section: string }) {
  const shown = view.students.filter((s) => section === "" || s.section === section);
  const without = [...new Set(shown.filter((s) => !s.hasPassword).map((s) => s.id))];
  return (
    <>
      {without.length > 0 && (
        <MarginPart title={t("Signing in")}>
          <Button
            onClick={() => work.slips.mutate({ section: section || null, students: without })}
            disabled={work.slips.isPending}
          >
            {t("Print codes for {{count}} students without a password", { count: without.length })}
          </Button>
        </MarginPart>
      )}
      {view.sections.length > 0 && <AddStudent view={view} work={work} section={section} />}
      <Groups view={view} />
      <Sections view={view} work={work} />
      <Teachers view={view} work={work} />
    </>
  );
}

const NOBODY = { given: "", family: "", number: "", email: "" };

function AddStudent({ view, work, section }: { view: CourseView; work: Work; section: string }) {
  const [entry, setEntry] = useState(NOBODY);
  const [into, setInto] = useState("");
  const place = into || section || view.sections[0]?.id || "";
  const submit = (e: FormEvent) => {
    e.preventDefault();
    work.addStudent.mutate(
      { ...entry, number: entry.number || null, email: entry.email || null, section: place },
      { onSuccess: () => setEntry(NOBODY) },
    );
  };
  const text = (field: keyof typeof NOBODY, label: string, rest = {}) => (
    <Field
      label={label}
      value={entry[field]}
      autoComplete="off"
      onChange={(e) => setEntry({ ...entry, [field]: e.target.value })}
      {...rest}
    />
  );
  return (
    <MarginPart title={t("Add a student")}>
      <form onSubmit={submit} className="grid gap-2">
        <div className="grid grid-cols-2 gap-2">
          {text("given", t("First name"), { required: true })}
          {text("family", t("Surname"), { required: true })}
          {text("number", t("Number"))}
          {text("email", t("E-mail"), { type: "email" })}
        </div>
        <div className="flex items-center gap-3">
          <Choose
            label={t("Section")}
            value={place}
            options={view.sections.map((s): [string, string] => [s.id, s.name])}
            onChange={setInto}
          />
          <Button type="submit" disabled={work.addStudent.isPending}>
            {t("Add")}
          </Button>
        </div>
        <Trouble error={work.addStudent.error} />
      </form>
    </MarginPart>
  );
}

function Sections({ view, work }: { view: CourseView; work: Work }) {
  return (
    <MarginPart title={t("Sections")}>
      <ul className="mb-2">
        {view.sections.map((s) => (
          <li key={s.id} className="flex items-center gap-2 border-b border-rule py-1">
            <strong>{s.name}</strong>
            <span className="text-small text-soft">{t("{{count}} students", { count: s.students })}</span>
            <select
              aria-label={t("Teacher of {{name}}", { name: s.name })}
              value={view.teachers.find((p) => p.name === s.teacher)?.id ?? ""}
              onChange={(e) =>
                work.changeSection.mutate({ section: s.id, name: s.name, teacher: e.target.value || null })
              }
              className="ml-auto rounded-corner border border-rule bg-sheet px-1 py-0.5 text-small"
            >
              <option value="">{t("no teacher")}</option>
              {view.teachers.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </select>
            {s.students === 0 && (
              <TextButton
                className="text-small"
                aria-label={t("Remove {{name}}", { name: s.name })}
                onClick={() => work.removeSection.mutate(s.id)}
              >
                {t("Remove")}
              </TextButton>
            )}
          </li>
        ))}
      </ul>
      <AddOne
        label={t("Name of a new section")}
        adding={work.addSection.isPending}
        onAdd={(name, onSuccess) => work.addSection.mutate({ name, teacher: null }, { onSuccess })}
      />
      <Trouble error={work.addSection.error ?? work.changeSection.error ?? work.removeSection.error} />
    </MarginPart>
  );
}

function Teachers({ view, work }: { view: CourseView; work: Work }) {
  const colleagues = useQuery({
    queryKey: ["teachers"],
    queryFn: () => ok(api.GET("/api/teachers")),
  });
  const all = colleagues.data ?? [];
  const others = all.filter((c) => !view.teachers.some((p) => p.id === c.id));
  return (
    <>
      <Colleagues
        title={t("Teachers")}
        people={view.teachers}
        none={t("no teacher yet")}
        others={others}
        choose={t("Add a teacher")}
        onAdd={(person) => work.addTeacher.mutate(person)}
        onRemove={(person) => work.removeTeacher.mutate(person)}
        error={work.addTeacher.error ?? work.removeTeacher.error}
      >
        {t("Every teacher of a course sees and changes everything in it.")}
      </Colleagues>
      <Colleagues
        title={t("Readers")}
        people={view.readers}
        none={t("no reader yet")}
        others={others.filter((c) => !view.readers.some((p) => p.id === c.id))}
        choose={t("Add a reader")}
        onAdd={(person) => work.addReader.mutate(person)}
        onRemove={(person) => work.removeReader.mutate(person)}
        error={work.addReader.error ?? work.removeReader.error}
      >
        {t("A reader reads open answers without names, and sees nothing else of the course.")}
      </Colleagues>
    </>
  );
}

/** Colleagues with a part in the course, added and removed one by one. */
function Colleagues({
  title,
  people,
  none,
  others,
  choose,
  onAdd,
  onRemove,
  error,
  children,
}: {
  title: string;
  people: CourseView["teachers"];
  none: string;
  others: CourseView["teachers"];
  choose: string;
  onAdd: (person: string) => void;
  onRemove: (person: string) => void;
  error: unknown;
  children: ReactNode;
}) {
  return (
    <MarginPart title={title}>
      <ul className="mb-2">
        {people.map((p) => (
          <li key={p.id} className="flex items-center justify-between border-b border-rule py-1">
            {p.name}
            <TextButton
              className="text-small"
              aria-label={t("Remove {{name}}", { name: p.name })}
              onClick={() => onRemove(p.id)}
            >
              {t("Remove")}
            </TextButton>
          </li>
        ))}
        {people.length === 0 && <li className="text-soft">{none}</li>}
      </ul>
      {others.length > 0 && (
        <Choose
          label={choose}
          value=""
          options={[["", t("choose…")], ...others.map((c): [string, string] => [c.id, c.name])]}
          onChange={(person) => person && onAdd(person)}
        />
      )}
      <p className="mt-1 text-small text-soft">{children}</p>
      <Trouble error={error} />
    </MarginPart>
  );
}
