import { Another } from "../../parts/Another";
import { TextButton } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Toggle } from "../../parts/Field";
import { t } from "../../text";
import { type Accepted, put } from "./definition";
import { EntryText } from "./EntryText";
import type { KeyProps } from "./ItemEditor";
import { Share } from "./kinds/Share";

const IGNORE: [string, string][] = [
  ["case", "capitals"],
  ["space", "spaces"],
  ["articles", "a, an, the"],
  ["marks", "punctuation"],
  ["accents", "accents"],
];

/** Accepted texts and patterns with their credit, known wrong ones, and what does not matter. */
export function TextKey({ item, onChange }: KeyProps) {
  const accept = item.accept ?? [];
  const reject = item.reject ?? [];
  const ignore = item.ignore ?? ["case", "space"];
  const setAccept = (i: number, entry: Accepted) =>
    onChange({ ...item, accept: accept.map((a, n) => (n === i ? entry : a)) });
  return (
    <>
      <section aria-label={t("Accepted")}>
        <h3 className="text-small font-semibold text-soft">{t("Accepted")}</h3>
        <ul>
          {accept.map((entry, i) => (
            <li key={i} className="flex items-center gap-3 border-b border-rule py-1">
              <EntryText entry={entry} onChange={(e) => setAccept(i, e)} />
              <label className="flex items-center gap-2 text-small text-soft">
                {t("credit")}
                <input
                  value={entry.credit ?? "1"}
                  onChange={(e) => setAccept(i, { ...entry, credit: e.target.value })}
                  className="w-14 rounded-corner border border-rule bg-sheet px-1 py-0.5 text-right font-semibold text-ink"
                />
              </label>
              <TextButton
                className="text-small text-soft"
                onClick={() => onChange({ ...item, accept: accept.filter((_, n) => n !== i) })}
              >
                {t("out")}
              </TextButton>
            </li>
          ))}
        </ul>
        <Another
          label={t("another accepted text")}
          onAdd={(text) => onChange({ ...item, accept: [...accept, { text }] })}
        />
      </section>
      <section className="mt-4" aria-label={t("Known to be wrong")}>
        <h3 className="text-small font-semibold text-soft">{t("Known to be wrong")}</h3>
        <ul>
          {reject.map((entry, i) => (
            <li
              key={entry.text}
              className="flex items-center gap-3 border-b border-rule py-1 font-script text-words"
            >
              <span className="flex-1">{entry.text}</span>
              <input
                aria-label={t("what you say to whoever writes {{text}}", { text: entry.text })}
                placeholder={t("a word to whoever writes it")}
                value={entry.note ?? ""}
                className="min-w-0 flex-1 bg-sheet text-body"
                onChange={(e) =>
                  onChange({
                    ...item,
                    reject: reject.map((r, n) => (n === i ? noted(r.text, e.target.value) : r)),
                  })
                }
              />
              <TextButton
                className="font-sans text-small text-soft"
                onClick={() => onChange({ ...item, reject: reject.filter((_, n) => n !== i) })}
              >
                {t("out")}
              </TextButton>
            </li>
          ))}
        </ul>
        <Another
          label={t("a known wrong answer")}
          onAdd={(text) => onChange({ ...item, reject: [...reject, { text }] })}
        />
      </section>
      <section className="mt-4" aria-label={t("What does not matter")}>
        <h3 className="mb-2 text-small font-semibold text-soft">{t("What does not matter")}</h3>
        <div className="flex flex-wrap gap-2">
          {IGNORE.map(([name, words]) => (
            <Toggle
              key={name}
              on={ignore.includes(name)}
              onChange={(on) =>
                onChange({ ...item, ignore: on ? [...ignore, name] : ignore.filter((n) => n !== name) })
              }
            >
              {t(words)}
            </Toggle>
          ))}
        </div>
        <div className="mt-3 flex flex-wrap items-center gap-4">
          <Choose
            label={t("typing slips")}
            value={item.spelling ?? "none"}
            options={[
              ["none", t("count as other words")],
              ["one", t("one is let pass")],
              ["two", t("two are let pass")],
              ["length", t("are let pass by length")],
            ]}
            onChange={(spelling) => onChange({ ...item, spelling })}
          />
          {(item.spelling ?? "none") !== "none" && (
            <Share
              label={t("worth with a slip")}
              usual="1"
              value={item.spellingCredit}
              onChange={(credit) => onChange(put(item, "spellingCredit", credit))}
            />
          )}
          <Share
            label={t("a wrong answer costs")}
            value={item.penalty}
            onChange={(p) => onChange(put(item, "penalty", p))}
          />
        </div>
        <label className="mt-3 flex items-center gap-2">
          <input
            type="checkbox"
            checked={item.otherwise === "wrong"}
            onChange={(e) => onChange({ ...item, otherwise: e.target.checked ? "wrong" : "settle" })}
          />
          {t("anything else is wrong, instead of coming to you in Settle")}
        </label>
      </section>
    </>
  );
}

function noted(text: string, note: string) {
  return note ? { text, note } : { text };
}
