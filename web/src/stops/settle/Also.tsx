import type { Schemas } from "../../api/client";
import { Note } from "../../parts/Sheet";
import { t } from "../../text";
import { points } from "../../text/figures";

/** Other answers that the decision reaches, those first that were decided otherwise: nobody is surprised afterwards. */
export function Also({
  also,
  despite,
  onDespite,
}: {
  also: Schemas["Also"][];
  despite: boolean;
  onDespite: (despite: boolean) => void;
}) {
  const against = also.filter((a) => a.contradicts !== null);
  const others = also.filter((a) => a.contradicts === null);
  return (
    <>
      {against.length > 0 && (
        <Note by="waiting">
          <strong>{t("This contradicts what was decided:")}</strong>
          <ul className="text-small">
            {against.map((a) => (
              <li key={a.shown + a.contradicts?.was}>
                {a.students}× <span className="font-script">{a.shown}</span>:{" "}
                {t("{{was}} credit, by this rule {{would}}", {
                  was: points(a.contradicts?.was ?? ""),
                  would: points(a.contradicts?.would ?? ""),
                })}
                {a.contradicts?.who && ` · ${a.contradicts.who}`}
                {a.contradicts?.stays && ` · ${t("decided by hand, so these marks stay")}`}
              </li>
            ))}
          </ul>
          <label className="mt-1 flex items-baseline gap-2">
            <input type="checkbox" checked={despite} onChange={(e) => onDespite(e.target.checked)} />
            {t("I want this rule all the same")}
          </label>
        </Note>
      )}
      {others.length > 0 && (
        <Note by="waiting">
          {t("This decision also reaches:")}
          <ul className="text-small">
            {others.map((a) => (
              <li key={a.shown}>
                {a.students}× <span className="font-script">{a.shown}</span> · {a.because}
              </li>
            ))}
          </ul>
        </Note>
      )}
    </>
  );
}
