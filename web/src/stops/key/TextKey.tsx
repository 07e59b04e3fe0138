import { Another } from "../../parts/Another";
import { TextButton } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Toggle } from "../../parts/Field";
import { t } from "../../text";
import { type Accepted, put } from "./definition";
import { EntryText } from "./EntryText";
import type { KeyProps } from "./ItemEditor";
import { Share } from "./kinds/Share";
import { AlsoAccept } from "./quick/AlsoAccept";

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
      <section aria-label={t("Accepted answers")}>
        <h3 className="text-small font-semibold text-soft">{t("Accepted answers")}</h3>
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
                {t("Remove")} <span className="sr-only">{t("entry {{n}}", { n: i + 1 })}</span>
              </TextButton>
            </li>
          ))}
        </ul>
        <Another
          label={t("Add an accepted answer")}
          onAdd={(text) => onChange({ ...item, accept: [...accept, { text }] })}
        />
        <AlsoAccept item={item} onChange={onChange} />
      </section>
      <section className="mt-4" aria-label={t("Known wrong answers")}>
        <h3 className="text-small font-semibold text-soft">{t("Known wrong answers")}</h3>
        <ul>
          {reject.map((entry, i) => (
            <li
              key={entry.text}
              className="flex items-center gap-3 border-b border-rule py-1 font-script text-words"
            >
              <span className="flex-1">{entry.text}</span>
              <input
                aria-label={t("Comment for students who write {{text}}", { text: entry.text })}
                placeholder={t("Comment for students who write this")}
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
                {t("Remove")} <span className="sr-only">{t("entry {{n}}", { n: i + 1 })}</span>
              </TextButton>
            </li>
          ))}
        </ul>
        <Another
          label={t("Add a known wrong answer")}
          onAdd={(text) => onChange({ ...item, reject: [...reject, { text }] })}
        />
      </section>
      <section className="mt-4" aria-label={t("Ignore these differences")}>
        <h3 className="mb-2 text-small font-semibold text-soft">{t("Ignore these differences")}</h3>
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
            label={t("Typing slips")}
            value={item.spelling ?? "none"}
            options={[
              ["none", t("none allowed")],
              ["one", t("one allowed")],
              ["two", t("two allowed")],
              ["length", t("by length: one from 4 letters, two from 8")],
            ]}
            onChange={(spelling) => onChange({ ...item, spelling })}
          />
          {(item.spelling ?? "none") !== "none" && (
            <Share
              label={t("Credit with a slip")}
              usual="1"
              value={item.spellingCredit}
              onChange={(credit) => onChange(put(item, "spellingCredit", credit))}
            />
          )}
          <Share
            label={t("Penalty for a wrong answer")}
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
          {t("Any other answer is wrong (otherwise it waits for you in Settle)")}
        </label>
      </section>
    </>
  );
}

function noted(text: string, note: string) {
  return note ? { text, note } : { text };
}
