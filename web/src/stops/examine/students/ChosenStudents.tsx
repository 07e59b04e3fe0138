import { useState } from "react";
import { Link } from "react-router";
import { Button } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { MarginPart, Note } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { useGroupWork } from "../../../places/courses/groups/useGroups";
import { t } from "../../../text";
import type { Student } from "./useStudents";

const FEW = 30;

/** Who missed all of the chosen questions, and a group made of them: groups get sittings and times of their own. */
export function ChosenStudents({
  course,
  chosen,
  students,
  nameOf,
  hidden,
}: {
  course: string | undefined;
  chosen: number[];
  students: Student[];
  nameOf: (s: Student) => string;
  hidden: boolean;
}) {
  const numbers = [...chosen].sort((a, b) => a - b).join(", ");
  return (
    <MarginPart title={t("Chosen from the table")}>
      <Note>
        <p aria-live="polite">
          {t("{{count}} students have no points for {{numbers}}.", { count: students.length, numbers })}
        </p>
        <p className="text-small">
          {students.slice(0, FEW).map(nameOf).join(" · ")}
          {students.length > FEW && ` · ${t("and {{n}} more", { n: students.length - FEW })}`}
        </p>
      </Note>
      {course && !hidden && students.length > 0 && (
        <MakeGroup key={numbers} course={course} numbers={numbers} students={students} />
      )}
    </MarginPart>
  );
}

function MakeGroup({ course, numbers, students }: { course: string; numbers: string; students: Student[] }) {
  const { save } = useGroupWork(course);
  const [title, setTitle] = useState(() => t("Missed {{numbers}}", { numbers }));
  if (save.isSuccess) {
    return (
      <p role="status" className="text-small">
        {t("The group “{{title}}” is made. You can give it a sitting of its own.", { title })}{" "}
        <Link to={`/courses/${course}/roster`} className="underline">
          {t("Groups of the course")}
        </Link>
      </p>
    );
  }
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate({
          id: null,
          name: title.trim(),
          revision: null,
          students: students.map((s) => s.student),
        });
      }}
    >
      <Field
        label={t("Name of the group")}
        value={title}
        maxLength={100}
        onChange={(e) => setTitle(e.target.value)}
      />
      <p className="mt-2">
        <Button type="submit" disabled={save.isPending || title.trim() === ""}>
          {t("Make a group of {{count}} students", { count: students.length })}
        </Button>
      </p>
      <Trouble error={save.error} />
    </form>
  );
}
