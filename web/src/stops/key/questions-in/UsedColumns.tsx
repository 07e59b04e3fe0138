import type { Schemas } from "../../../api/client";
import { t } from "../../../text";

const ROLES: [string, string][] = [
  ["PROMPT", "the question"],
  ["KIND", "its kind"],
  ["OPTION", "an option"],
  ["OPTIONS", "all options in one cell"],
  ["KEY", "the right answer"],
  ["OTHER_OPTION", "an option that is not right"],
  ["MORE", "also accepted"],
  ["POINTS", "points"],
  ["STANDARD", "standards"],
  ["TAGS", "tags"],
  ["HINT", "a hint"],
  ["RIGHT", "said when right"],
  ["WRONG", "said when wrong"],
  ["TOLERANCE", "tolerance"],
  ["UNIT", "unit"],
  ["DIFFICULTY", "expected mean"],
  ["MINUTES", "minutes"],
  ["LEFT_OUT", "not used"],
];

/** What each column of a table of questions is taken for, and why; another use can be chosen. */
export function UsedColumns({
  columns,
  onChoose,
}: {
  columns: Schemas["QuestionColumn"][];
  onChoose: (index: number, role: string) => void;
}) {
  return (
    <table className="mt-4 w-full">
      <caption className="pb-1 text-left text-small font-semibold text-soft">
        {t("Columns and what each one holds")}
      </caption>
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          <th scope="col" className="font-normal">
            {t("Column")}
          </th>
          <th scope="col" className="font-normal">
            {t("Used as")}
          </th>
          <th scope="col" className="font-normal">
            {t("Why")}
          </th>
        </tr>
      </thead>
      <tbody>
        {columns.map((c) => (
          <tr key={c.index} className="border-b border-rule">
            <td className="py-1 font-script wrap-anywhere">{c.name || t("(no name)")}</td>
            <td>
              <select
                aria-label={t("what {{name}} is", { name: c.name })}
                value={c.role}
                className="rounded-corner border border-rule bg-sheet"
                onChange={(e) => onChoose(c.index, e.target.value)}
              >
                {ROLES.map(([id, words]) => (
                  <option key={id} value={id}>
                    {t(words)}
                  </option>
                ))}
              </select>
            </td>
            <td className="text-small text-soft">{c.because}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
