import { type Checkable, StudentChecks } from "../../../parts/StudentChecks";
import type { Group } from "../../../places/courses/groups/useGroups";
import { t } from "../../../text";
import { Pick } from "./boxes";
import type { SittingDraft } from "./draft";

/** For whom of its section a sitting is. */
export function WhoHasIt({
  section,
  groups = [],
  draft,
  onChange,
}: {
  section: Checkable[];
  groups: Group[] | undefined;
  draft: SittingDraft;
  onChange: (draft: SittingDraft) => void;
}) {
  const { students } = draft;
  const choose = (chosen: string[] | null) => onChange({ ...draft, students: chosen });
  return (
    <>
      <Pick
        label={t("for")}
        value={students === null ? "all" : "some"}
        options={[
          ["all", t("all its students ({{n}})", { n: section.length })],
          ["some", t("chosen students")],
        ]}
        onChange={(who) => choose(who === "all" ? null : [])}
      />
      {students !== null && (
        <StudentChecks
          legend={
            students.length === 0
              ? t("Choose at least one")
              : t("{{n}} of {{all}} have it", { n: students.length, all: section.length })
          }
          all={section}
          chosen={students}
          groups={groups}
          onChange={choose}
        />
      )}
    </>
  );
}
