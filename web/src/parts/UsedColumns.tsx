import { useEffect, useState } from "react";
import { t } from "../text";

/** What each column of a file's table is taken for, and why; another use can be chosen. */
export function UsedColumns<R extends string>({
  columns,
  uses,
  onChoose,
}: {
  columns: { index: number; name: string; role: R; because: string }[];
  uses: [R, string][];
  onChoose: (index: number, role: R) => void;
}) {
  // Where every column is known, what they make is looked at first; what was opened stays open.
  const asks = columns.some((c) => c.role === "LEFT_OUT");
  const [open, setOpen] = useState(asks);
  useEffect(() => {
    asks && setOpen(true);
  }, [asks]);
  return (
    <details className="mt-4" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer text-small font-semibold text-soft">
        {t("Columns and what each one holds")}
      </summary>
      <table className="mt-2 w-full">
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
                  onChange={(e) => onChoose(c.index, e.target.value as R)}
                >
                  {uses.map(([id, words]) => (
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
    </details>
  );
}
