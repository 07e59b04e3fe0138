import { Button } from "../../parts/Button";
import { Note } from "../../parts/Sheet";
import { t } from "../../text";
import type { Bringing, View } from "./useBringIn";

type Other = View["changed"][number];
const mayGo = (o: Other): boolean => o.fromFile && !o.handedBack;

/** Students who are in with other answers than the file has: theirs stay, unless the file's are chosen. */
export function OtherAnswers({ view, bringing }: { view: View; bringing: Bringing }) {
  const chosen = bringing.asked.replace;
  const open = view.changed.filter(mayGo).map((o) => o.student);
  const toggle = (student: string) =>
    bringing.replace(chosen.includes(student) ? chosen.filter((s) => s !== student) : [...chosen, student]);
  return (
    <Note by="waiting">
      <fieldset>
        <legend>
          {t(
            "{{count}} students are in already with other answers, which stay unless you choose the file’s:",
            {
              count: view.changed.length,
            },
          )}
        </legend>
        <ul>
          {view.changed.map((o) => (
            <li key={o.student}>
              {mayGo(o) ? (
                <label className="inline-flex items-baseline gap-2">
                  <input
                    type="checkbox"
                    checked={chosen.includes(o.student)}
                    onChange={() => toggle(o.student)}
                  />
                  <span>
                    {o.name}
                    {o.read && (
                      <span className="text-small text-waiting"> {t("· read already: these marks go")}</span>
                    )}
                  </span>
                </label>
              ) : (
                <span className="text-soft">
                  {o.name}{" "}
                  <span className="text-small">
                    {o.handedBack ? t("· has the result") : t("· answered otherwise than by file")}
                  </span>
                </span>
              )}
            </li>
          ))}
        </ul>
        {open.length > 1 && (
          <Button
            look="quiet"
            className="mt-1"
            onClick={() => bringing.replace(chosen.length < open.length ? open : [])}
          >
            {chosen.length < open.length ? t("Choose the file’s for all") : t("Keep all as they are")}
          </Button>
        )}
      </fieldset>
    </Note>
  );
}
