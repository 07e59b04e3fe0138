import { t } from "../text";
import { moment } from "../text/figures";
import { TextButton } from "./Button";
import { Trouble } from "./States";

/** What was removed and can be restored; nothing where nothing was. */
export function Removed({
  title,
  rows,
  onRestore,
  pending,
  error,
}: {
  title: string;
  rows: { id: string; name: string; at?: string }[];
  onRestore: (id: string) => void;
  pending: boolean;
  error: unknown;
}) {
  if (rows.length === 0) {
    return null;
  }
  return (
    <details className="mt-4 text-small">
      <summary className="cursor-pointer py-1 text-soft">
        {title} ({rows.length})
      </summary>
      <ul>
        {rows.map((row) => (
          <li key={row.id} className="flex items-baseline gap-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1 font-script wrap-anywhere">{row.name || t("(no text)")}</span>
            {row.at && <span className="text-soft">{moment(row.at)}</span>}
            <TextButton
              className="underline"
              disabled={pending}
              aria-label={t("Restore {{name}}", { name: row.name })}
              onClick={() => onRestore(row.id)}
            >
              {t("Restore")}
            </TextButton>
          </li>
        ))}
      </ul>
      <Trouble error={error} />
    </details>
  );
}
