import { Button } from "../../parts/Button";
import { VirtualRows } from "../../parts/VirtualRows";
import { t } from "../../text";
import type { Decision, Effect, Row } from "./useRosterIn";

const NAMES: Record<Row["what"], string> = {
  SAME: "as before",
  NEW: "new",
  JOINS: "new here",
  MOVED: "moved",
  RENAMED: "renamed",
  TWIN: "possible twin",
  CLASH: "clash",
  LEFT: "not in the file",
};
const CHOICES: Record<Decision, string> = {
  SAME_PERSON: "The same person",
  SOMEBODY_ELSE: "Somebody else",
  SKIP: "Leave out",
};

/** Why a row is what it is, in a sentence. */
function because(row: Row): string {
  const { was, number } = row;
  switch (row.what) {
    case "MOVED":
      return t("comes from {{was}}, with all that was done there", { was });
    case "RENAMED":
      return t("was {{was}}", { was });
    case "JOINS":
      return t("in the school already, joins this course");
    case "LEFT":
      return t("on the roster, but the file does not name them");
    case "TWIN":
      return !was
        ? t("somebody of the school looks like this person; ask your administrator if in doubt")
        : row.why === "number"
          ? t("number {{was}} has another form; a spreadsheet drops zeros", { was })
          : row.why === "email"
            ? t("the e-mail is that of {{was}}", { was })
            : t("the name is on the roster with the number {{was}}", { was: was || "–" });
    case "CLASH":
      return !was
        ? t("number {{number}} is in use in this school under another name; ask your administrator", {
            number,
          })
        : t("number {{number}} is {{was}}", { number, was });
    default:
      return t("gets a sign-in name; print a code afterwards");
  }
}

/** What a roster changes, line by line: what asks first, what cannot come in, what comes in, who is not named. */
export function RosterRows({
  effect,
  onDecide,
}: {
  effect: Effect;
  onDecide: (line: number, decision: Decision) => void;
}) {
  return (
    <>
      {effect.faults.length > 0 && (
        <ul className="border-t border-rule">
          {effect.faults.slice(0, 100).map((f) => (
            <li
              key={`${f.line}${f.column}${f.message}`}
              className="border-b border-rule bg-waiting-wash px-6 py-1.5 text-waiting"
            >
              <strong>{f.column ? t("Row {{line}}", { line: f.line }) : t("The file")}</strong> {f.message}
            </li>
          ))}
        </ul>
      )}
      <table className="w-full">
        <thead>
          <tr className="border-y border-rule text-left text-small text-soft">
            {[t("Row"), t("What"), t("Who"), t("Section"), t("Why")].map((head, i) => (
              <th key={head} scope="col" className={`${i === 0 ? "pl-6" : ""} py-2 pr-3 font-normal`}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <VirtualRows rows={effect.rows} height={40} columns={5}>
          {(r) => (
            <tr
              key={`${r.line}${r.number}${r.name}`}
              className={`border-b border-rule align-baseline ${r.choices.length > 0 && !r.decided ? "bg-waiting-wash" : ""}`}
            >
              <td className="py-1.5 pr-3 pl-6 text-soft">{r.line || "–"}</td>
              <td
                className={`pr-3 font-semibold ${r.choices.length > 0 && !r.decided ? "text-waiting" : ""}`}
              >
                {t(NAMES[r.what])}
              </td>
              <td className="pr-3 font-script">{`${r.number} · ${r.name}`}</td>
              <td className="pr-3">{r.section}</td>
              <td className="py-1 pr-4 text-small">
                {because(r)}
                {r.choices.length > 0 && (
                  <span className="mt-1 flex flex-wrap gap-2">
                    {r.choices.map((c) => (
                      <Button
                        key={c}
                        look={r.decided === c ? "strong" : "plain"}
                        aria-pressed={r.decided === c}
                        onClick={() => onDecide(r.line, c)}
                      >
                        {t(CHOICES[c])}
                      </Button>
                    ))}
                  </span>
                )}
              </td>
            </tr>
          )}
        </VirtualRows>
      </table>
      {effect.asSame > 0 && (
        <p className="px-6 py-2 text-soft">
          {t("{{count}} students as before: nothing changes", { count: effect.asSame })}
        </p>
      )}
    </>
  );
}
