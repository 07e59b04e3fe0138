import type { Schemas } from "../../api/client";
import { t } from "../../text";

export type Fair = "same" | "creditAnswered" | "drop";

const WAYS: [Fair, string][] = [
  ["same", "Yes. It means the same, so their marks stay."],
  ["creditAnswered", "No. Give full credit to everyone who answered it."],
  ["drop", "No. Drop the question for everyone."],
];

/** The two editions compared, in words. */
export function Differences({ all }: { all: Schemas["Difference"][] }) {
  if (all.length === 0) {
    return null;
  }
  return (
    <ul className="mb-3 text-small">
      {all.map((d) => (
        <li key={d.item + d.words} className="border-b border-rule py-0.5">
          {d.number > 0 && <strong>{t("Question {{n}}", { n: d.number })} </strong>}
          <span className="font-script">{d.words}</span>
        </li>
      ))}
    </ul>
  );
}

/** What asks otherwise than it did when it was answered: somebody has to say whether those answers are still fair. */
export function Fairness({
  asked,
  decided,
  onDecided,
}: {
  asked: Schemas["Asked"][];
  decided: Record<string, Fair>;
  onDecided: (item: string, what: Fair) => void;
}) {
  return (
    <>
      {asked.map((a) => (
        <fieldset key={a.item} className="mb-3 border-l-3 border-waiting pl-3">
          <legend className="font-semibold text-waiting">
            {t("The wording of question {{n}} has changed", { n: a.number })}
          </legend>
          <p className="text-small">
            {t("{{count}} students answered the earlier wording. Is it fair to keep their marks?", {
              count: a.answered,
            })}
          </p>
          {WAYS.map(([way, words]) => (
            <label key={way} className="flex items-baseline gap-2">
              <input
                type="radio"
                name={`fair-${a.item}`}
                checked={decided[a.item] === way}
                onChange={() => onDecided(a.item, way)}
              />
              {t(words)}
            </label>
          ))}
        </fieldset>
      ))}
    </>
  );
}
