import { MarginPart } from "../../parts/Sheet";
import { t } from "../../text";
import { type Definition, put } from "./definition";

const WAYS: [string, string][] = [
  ["", "By its points"],
  ["drop", "Drop it for everyone"],
  ["creditAll", "Full credit for everyone"],
  ["creditAnswered", "Full credit for everyone who answered it"],
  ["bonus", "A bonus: adds to the score, not to the maximum"],
];

/** The definition with what is done with an item for everyone; nothing special where `what` is empty. */
export function counting(d: Definition, item: string, what: string): Definition {
  const others = (d.adjustments ?? []).filter((a) => a.item !== item);
  const next = what === "" ? others : [...others, { item, do: what }];
  return put(d, "adjustments", next.length === 0 ? undefined : next);
}

/** How a question counts for everyone: it can be dropped or credited from here, after a look at the effect. */
export function HowItCounts({
  definition,
  item,
  onChange,
}: {
  definition: Definition;
  item: string;
  onChange: (make: (d: Definition) => Definition) => void;
}) {
  const now = (definition.adjustments ?? []).find((a) => a.item === item)?.do ?? "";
  return (
    <MarginPart title={t("How this question counts")}>
      <select
        aria-label={t("How this question counts")}
        value={now}
        onChange={(e) => onChange((d) => counting(d, item, e.target.value))}
        className="w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1.5"
      >
        {WAYS.map(([way, words]) => (
          <option key={way} value={way}>
            {t(words)}
          </option>
        ))}
      </select>
    </MarginPart>
  );
}
