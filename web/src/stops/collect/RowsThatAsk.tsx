import { Button, TextButton } from "../../parts/Button";
import { t } from "../../text";
import { isDecided, type RowChoice, type View } from "./useBringIn";

/** Rows of which it is not certain whose they are: why, whom it could be, and what was decided. */
export function RowsThatAsk({
  view,
  onRow,
}: {
  view: View;
  onRow: (line: number, choice: Partial<RowChoice>) => void;
}) {
  return (
    <section aria-label={t("Rows that ask")}>
      {view.keyLine !== null && (
        <p className="border-b border-rule bg-by-rule-wash px-5 py-1.5 text-by-rule">
          {t("Row {{line}} is taken for the key, not for a student.", { line: view.keyLine })}{" "}
          <TextButton onClick={() => view.keyLine && onRow(view.keyLine, { key: false })}>
            {t("It is a student")}
          </TextButton>
        </p>
      )}
      <ul>
        {view.rows.map((r) => {
          const decided = isDecided(r);
          return (
            <li
              key={r.line}
              className={`flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule px-5 py-1.5 ${decided ? "" : "bg-waiting-wash"}`}
            >
              <span className="text-soft">{t("Row {{line}}", { line: r.line })}</span>
              <span className="font-script">{r.who || "–"}</span>
              <span className={decided ? "text-soft" : "text-waiting"}>{r.why}</span>
              <span className="ml-auto flex flex-wrap gap-2">
                {r.near.map((k) => (
                  <Button
                    key={k.id}
                    look={r.student?.id === k.id ? "strong" : "plain"}
                    aria-pressed={r.student?.id === k.id}
                    onClick={() => onRow(r.line, { student: k.id, skip: false })}
                  >
                    {`${k.given} ${k.family}, ${k.section}`}
                  </Button>
                ))}
                {r.byLength && (
                  <Button aria-pressed={r.asIs} onClick={() => onRow(r.line, { asIs: true })}>
                    {t("Take it as it is")}
                  </Button>
                )}
                <SomebodyElse view={view} onStudent={(student) => onRow(r.line, { student, skip: false })} />
                <Button
                  look={r.skipped ? "strong" : "quiet"}
                  aria-pressed={r.skipped}
                  onClick={() => onRow(r.line, { skip: !r.skipped })}
                >
                  {t("Leave out")}
                </Button>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Students of the rosters whom the file does not name: one of them is likely meant. */
function SomebodyElse({ view, onStudent }: { view: View; onStudent: (student: string) => void }) {
  if (view.free.length === 0) {
    return null;
  }
  return (
    <select
      aria-label={t("Give this row to a student")}
      value=""
      onChange={(e) => e.target.value && onStudent(e.target.value)}
      className="max-w-48 rounded-corner border border-rule-strong bg-sheet px-1"
    >
      <option value="">{t("somebody else…")}</option>
      {view.free.map((k) => (
        <option key={k.id} value={k.id}>
          {`${k.family}, ${k.given} (${k.section})`}
        </option>
      ))}
    </select>
  );
}
