import { Check } from "../../../parts/Field";
import { t } from "../../../text";
import { Pick } from "./boxes";
import type { SittingDraft } from "./draft";

type Student = { id: string; given: string; family: string };

/** For whom of its section a sitting is. */
export function WhoHasIt({
  section,
  draft,
  onChange,
}: {
  section: Student[];
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
        <fieldset className="max-h-52 w-full max-w-md overflow-y-auto border border-rule px-2 py-1">
          <legend className="px-1 text-small font-semibold text-soft">
            {students.length === 0
              ? t("Choose at least one")
              : t("{{n}} of {{all}} have it", { n: students.length, all: section.length })}
          </legend>
          {section.map((s) => (
            <Check
              key={s.id}
              checked={students.includes(s.id)}
              onChange={(on) =>
                // In the order of the list, so that it is the same however it was chosen.
                choose(section.filter((o) => (o.id === s.id ? on : students.includes(o.id))).map((o) => o.id))
              }
            >
              {`${s.family}, ${s.given}`}
            </Check>
          ))}
        </fieldset>
      )}
    </>
  );
}
