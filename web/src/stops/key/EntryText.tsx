import { t } from "../../text";
import { type Accepted, put } from "./definition";

type Way = "text" | "pattern" | "words";

const FIELD = "min-w-0 flex-1 bg-sheet py-0.5 font-script text-words";

/** One accepted entry: the same text, a pattern for the whole answer, or words that have to be in it. */
export function EntryText({ entry, onChange }: { entry: Accepted; onChange: (entry: Accepted) => void }) {
  const way: Way = entry.words ? "words" : entry.pattern === undefined ? "text" : "pattern";
  return (
    <>
      {way === "words" ? (
        <WordLists entry={entry} onChange={onChange} />
      ) : (
        <input
          aria-label={way === "pattern" ? t("accepted pattern") : t("accepted text")}
          value={(way === "pattern" ? entry.pattern : entry.text) ?? ""}
          className={FIELD}
          onChange={(e) => onChange({ ...entry, [way]: e.target.value })}
        />
      )}
      <select
        aria-label={t("compare as")}
        value={way}
        className="rounded-corner border border-rule bg-sheet text-small text-soft"
        onChange={(e) => onChange(inWay(entry, e.target.value as Way))}
      >
        <option value="text">{t("text")}</option>
        <option value="pattern">{t("pattern")}</option>
        <option value="words">{t("words")}</option>
      </select>
    </>
  );
}

/** The same entry compared in another way; what is typed comes along. */
function inWay(entry: Accepted, way: Way): Accepted {
  const { text, pattern, words, ...rest } = entry;
  const typed = text ?? pattern ?? words?.all?.join(" ") ?? "";
  return way === "words"
    ? { ...rest, words: { all: typed.split(/\s+/).filter(Boolean) } }
    : { ...rest, [way]: typed };
}

function WordLists({ entry, onChange }: { entry: Accepted; onChange: (entry: Accepted) => void }) {
  const list = (which: "all" | "any" | "none", label: string) => (
    <label className="flex min-w-24 flex-1 items-center gap-1 text-small text-soft">
      {label}
      <input
        value={(entry.words?.[which] ?? []).join(", ")}
        className={`${FIELD} w-16 text-ink`}
        onChange={(e) =>
          onChange({
            ...entry,
            words: put(
              entry.words ?? {},
              which,
              e.target.value.split(/,\s*/).filter((w, i, all) => w || i === all.length - 1),
            ),
          })
        }
      />
    </label>
  );
  return (
    <span className="flex min-w-0 flex-1 flex-wrap gap-2">
      {list("all", t("contains all of"))}
      {list("any", t("contains one of"))}
      {list("none", t("contains none of"))}
    </span>
  );
}
