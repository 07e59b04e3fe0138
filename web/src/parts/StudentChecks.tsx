import { t } from "../text";
import { TextButton } from "./Button";
import { Check } from "./Field";

export type Checkable = { id: string; given: string; family: string };

/** Students of a list to be checked, one by one or a group at a time. */
export function StudentChecks({
  legend,
  all,
  chosen,
  groups = [],
  onChange,
}: {
  legend: string;
  all: Checkable[];
  chosen: string[];
  groups?: { id: string; name: string; students: string[] }[];
  /** In the order of the list, so that it is the same however it was chosen. */
  onChange: (chosen: string[]) => void;
}) {
  const choose = (ids: Set<string>) => onChange(all.filter((s) => ids.has(s.id)).map((s) => s.id));
  const here = groups
    .map((g) => ({ ...g, students: g.students.filter((id) => all.some((s) => s.id === id)) }))
    .filter((g) => g.students.length > 0);
  return (
    <>
      {here.length > 0 && (
        <p className="flex flex-wrap gap-x-4 text-small">
          {here.map((g) => (
            <TextButton key={g.id} onClick={() => choose(new Set([...chosen, ...g.students]))}>
              {t("Add {{group}} ({{n}})", { group: g.name, n: g.students.length })}
            </TextButton>
          ))}
        </p>
      )}
      <fieldset className="max-h-52 w-full max-w-md overflow-y-auto border border-rule px-2 py-1">
        <legend className="px-1 text-small font-semibold text-soft">{legend}</legend>
        {all.map((s) => (
          <Check
            key={s.id}
            checked={chosen.includes(s.id)}
            onChange={(on) => choose(new Set(on ? [...chosen, s.id] : chosen.filter((id) => id !== s.id)))}
          >
            {`${s.family}, ${s.given}`}
          </Check>
        ))}
      </fieldset>
    </>
  );
}
