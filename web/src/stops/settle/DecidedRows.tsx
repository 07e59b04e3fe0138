import type { Schemas } from "../../api/client";
import { t } from "../../text";
import { moment, points } from "../../text/figures";
import { twoWays } from "./decision";

export type DecidedGroup = Schemas["DecidedGroup"];

/** Who decided, when and for whom, in one line. */
export function byWhom(group: DecidedGroup): string {
  const facts = [
    group.who ?? "",
    group.at ? moment(group.at) : "",
    group.these ? t("these students only (the key stays the same)") : "",
  ];
  return facts.filter(Boolean).join(" · ");
}

/** What was decided stays in view; one that is chosen can be decided differently. */
export function DecidedRows({
  groups,
  here,
  onChoose,
}: {
  groups: DecidedGroup[];
  here: string | undefined;
  onChoose: (form: string) => void;
}) {
  if (groups.length === 0) {
    return null;
  }
  const both = twoWays(groups);
  return (
    <section aria-label={t("Decided")} className="pt-5">
      {both.size > 0 && (
        <p className="px-6 pb-2 font-semibold text-waiting">
          {t("{{count}} answers were decided in more than one way. Decide them once for all who gave them.", {
            count: both.size,
          })}
        </p>
      )}
      <h3 className="px-6 text-small font-semibold text-soft">{t("Decided")}</h3>
      <ul>
        {groups.map((g) => (
          <li
            key={g.form + g.credit + g.who}
            className={`flex flex-wrap items-baseline gap-x-4 border-b border-rule px-6 py-2 ${g.form === here ? "border-l-4 border-l-by-person pl-5" : ""}`}
          >
            <span className="w-10 font-script font-semibold text-by-person">{g.count}×</span>
            <span className="min-w-0 flex-1">
              <span className="block font-script text-words break-words">{g.shown}</span>
              <span className="text-small text-soft">{byWhom(g)}</span>
              {both.has(g.form) && (
                <strong className="block text-small text-waiting">{t("decided in more than one way")}</strong>
              )}
            </span>
            <span className="font-semibold text-by-person">
              {t("{{credit}} credit", { credit: points(g.credit) })}
            </span>
            <button
              type="button"
              aria-pressed={g.form === here}
              aria-label={t("Decide differently: {{text}}", { text: g.shown })}
              className="text-small underline"
              onClick={() => onChoose(g.form)}
            >
              {t("Decide differently")}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
