import { useState } from "react";
import { TextButton } from "../../parts/Button";
import { Toggle } from "../../parts/Field";
import { t } from "../../text";
import type { Accepted } from "./definition";
import type { KeyProps } from "./ItemEditor";

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
          <Toggle
            on={(item.spelling ?? "none") !== "none"}
            onChange={(on) => onChange({ ...item, spelling: on ? "length" : "none" })}
          >
            {t("typing slips, by length")}
          </Toggle>
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

function EntryText({ entry, onChange }: { entry: Accepted; onChange: (entry: Accepted) => void }) {
  const field = "min-w-0 flex-1 bg-sheet py-0.5 font-script text-words";
  if (entry.words) {
    const all = (entry.words.all ?? []).join(", ");
    return (
      <>
        <input
          aria-label={t("words that the answer has to hold")}
          value={all}
          className={field}
          onChange={(e) =>
            onChange({ ...entry, words: { ...entry.words, all: e.target.value.split(/,\s*/) } })
          }
        />
        <span className="text-small text-soft">{t("words")}</span>
      </>
    );
  }
  const isPattern = entry.pattern !== undefined;
  const { text, pattern, ...rest } = entry;
  return (
    <>
      <input
        aria-label={isPattern ? t("accepted pattern") : t("accepted text")}
        value={(isPattern ? pattern : text) ?? ""}
        className={field}
        onChange={(e) =>
          onChange(isPattern ? { ...rest, pattern: e.target.value } : { ...rest, text: e.target.value })
        }
      />
      <button
        type="button"
        className="text-small text-soft underline underline-offset-2"
        onClick={() =>
          onChange(isPattern ? { ...rest, text: pattern ?? "" } : { ...rest, pattern: text ?? "" })
        }
      >
        {isPattern ? t("pattern") : t("text")}
      </button>
    </>
  );
}

/** A line that becomes an entry with Enter. */
function Another({ label, onAdd }: { label: string; onAdd: (text: string) => void }) {
  const [text, setText] = useState("");
  const add = () => {
    if (text.trim()) {
      onAdd(text.trim());
      setText("");
    }
  };
  return (
    <input
      aria-label={label}
      placeholder={t("type another, Enter")}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={add}
      onKeyDown={(e) => e.key === "Enter" && add()}
      className="w-full border-b border-rule bg-sheet py-1.5 font-script text-words"
    />
  );
}
