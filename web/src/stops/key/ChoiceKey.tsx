import { TextButton } from "../../parts/Button";
import { whole } from "../../parts/Field";
import { t } from "../../text";
import { freeLetter, type Item, put } from "./definition";
import type { KeyProps } from "./ItemEditor";
import { Share } from "./kinds/Share";
import { withOptionLines } from "./quick/optionLines";

const RULES: [string, string][] = [
  ["exact", "all or nothing"],
  ["each", "Each option counts, chosen or left"],
  ["net", "Right choices add, wrong ones take away"],
  ["hits", "Right choices add, too many earn nothing"],
  ["weights", "each option has its own credit"],
];

/** Options with what is keyed; one or several may be chosen. */
export function ChoiceKey({ item, onChange, single = false }: KeyProps & { single?: boolean }) {
  const options = item.options ?? [];
  const key = item.key ?? [];
  const several = (item.max ?? 1) > 1;
  const last = item.last ?? [];
  const setText = (id: string, text: string) =>
    onChange({ ...item, options: options.map((o) => (o.id === id ? { ...o, text } : o)) });
  const toggle = (id: string) =>
    onChange({
      ...item,
      key: key.includes(id) ? key.filter((k) => k !== id) : several ? [...key, id] : [id],
    });
  const remove = (id: string) =>
    onChange({
      ...put(
        item,
        "last",
        last.filter((l) => l !== id),
      ),
      options: options.filter((o) => o.id !== id),
      key: key.filter((k) => k !== id),
    });
  return (
    <fieldset>
      <legend className="mb-1 text-small font-semibold text-soft">
        {t("Options (choose the right ones)")}
      </legend>
      <ul>
        {options.map((o, i) => (
          <li key={o.id} className="flex items-center gap-3 border-b border-rule py-1">
            <button
              type="button"
              aria-pressed={key.includes(o.id)}
              aria-label={t("option {{letter}} is right", { letter: String.fromCharCode(65 + i) })}
              onClick={() => toggle(o.id)}
              className={`size-7 rounded-corner border font-semibold ${key.includes(o.id) ? "border-by-rule bg-by-rule text-sheet" : "border-rule text-soft"}`}
            >
              {String.fromCharCode(65 + i)}
            </button>
            <input
              aria-label={t("text of option {{letter}}", { letter: String.fromCharCode(65 + i) })}
              value={o.text}
              onChange={(e) => setText(o.id, e.target.value)}
              onPaste={(e) => {
                const pasted = e.clipboardData.getData("text/plain");
                if (pasted.trim().includes("\n")) {
                  e.preventDefault();
                  onChange(withOptionLines(item, o.id, pasted));
                }
              }}
              className="min-w-0 flex-1 bg-sheet py-1 font-script text-words"
            />
            {((!several && !key.includes(o.id)) || item.rule === "weights") && (
              <label className="flex items-center gap-2 text-small text-soft">
                {t("credit")}
                <input
                  aria-label={t("credit of option {{letter}}", { letter: String.fromCharCode(65 + i) })}
                  value={item.credits?.[o.id] ?? ""}
                  placeholder="0"
                  onChange={(e) => onChange(withCredit(item, o.id, e.target.value))}
                  className="w-14 rounded-corner border border-rule bg-sheet px-1 py-0.5 text-right text-ink"
                />
              </label>
            )}
            <button
              type="button"
              aria-pressed={last.includes(o.id)}
              aria-label={t("Keep last: option {{letter}}", {
                letter: String.fromCharCode(65 + i),
              })}
              title={t("Keep this option last when options are shuffled")}
              className={`text-small ${last.includes(o.id) ? "font-semibold text-ink" : "text-soft"}`}
              onClick={() =>
                onChange(
                  put(item, "last", last.includes(o.id) ? last.filter((l) => l !== o.id) : [...last, o.id]),
                )
              }
            >
              {t("Keep last")}
            </button>
            {options.length > 2 && (
              <TextButton className="text-small text-soft" onClick={() => remove(o.id)}>
                {t("Remove")}{" "}
                <span className="sr-only">
                  {t("option {{letter}}", { letter: String.fromCharCode(65 + i) })}
                </span>
              </TextButton>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-center gap-4">
        <TextButton
          onClick={() => onChange({ ...item, options: [...options, { id: freeLetter(options), text: "" }] })}
        >
          {t("Add an option")}
        </TextButton>
        {!single && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={several}
              onChange={(e) =>
                onChange({
                  ...item,
                  max: e.target.checked ? options.length : 1,
                  rule: e.target.checked ? "net" : "exact",
                  key: e.target.checked ? key : key.slice(0, 1),
                })
              }
            />
            {t("Students may choose more than one")}
          </label>
        )}
        <Share
          label={t("Penalty for a wrong answer")}
          value={item.penalty}
          onChange={(p) => onChange(put(item, "penalty", p))}
        />
        {several && (
          <label className="flex items-center gap-2 text-small text-soft">
            {t("Choices, at most")}
            <input
              aria-label={t("How many may be chosen")}
              inputMode="numeric"
              value={item.max ?? ""}
              onChange={(e) => onChange({ ...item, max: whole(e.target.value) || 2 })}
              className="w-12 rounded-corner border border-rule bg-sheet px-1 py-0.5 text-right text-ink"
            />
          </label>
        )}
        {several && (
          <label className="flex items-center gap-2">
            {t("Scoring rule")}
            <select
              value={item.rule ?? "exact"}
              onChange={(e) => onChange({ ...item, rule: e.target.value })}
              className="rounded-corner border border-rule-strong bg-sheet px-2 py-1"
            >
              {RULES.map(([rule, words]) => (
                <option key={rule} value={rule}>
                  {t(words)}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
    </fieldset>
  );
}

/** A partial credit for an option outside the key; an empty field takes it off. */
function withCredit(item: Item, id: string, credit: string): Item {
  const { [id]: _, ...others } = item.credits ?? {};
  return { ...item, credits: credit ? { ...others, [id]: credit } : others };
}
