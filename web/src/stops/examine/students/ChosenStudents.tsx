import { MarginPart, Note } from "../../../parts/Sheet";
import { MakeGroup } from "../../../places/courses/groups/MakeGroup";
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
        <MakeGroup
          key={numbers}
          course={course}
          title={t("Missed {{numbers}}", { numbers })}
          students={students.map((s) => s.student)}
        />
      )}
    </MarginPart>
  );
}
