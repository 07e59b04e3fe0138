import { useId, useState } from "react";
import { t } from "../../text";
import type { Aligned, FrameworkFile } from "./definition";
import { type Found, findStandards } from "./standards";

const SHOWN = 7;

/** The standards an item is aligned to, each with its weight; more are found by typing a code or words. */
export function StandardPicker({
  frameworks,
  chosen,
  onChange,
}: {
  frameworks: FrameworkFile[];
  chosen: Aligned[];
  onChange: (chosen: Aligned[]) => void;
}) {
  if (frameworks.length === 0) {
    return null;
  }
  const text = (code: string) =>
    frameworks.flatMap((f) => f.standards).find((s) => s.code === code)?.text ?? t("not in the framework");
  return (
    <div className="min-w-60 flex-1">
      {chosen.map((c) => (
        <div key={c.code} className="mb-1 flex items-center gap-2">
          <button
            type="button"
            className="rounded-corner bg-standard-wash px-2 py-1 text-left text-small text-standard"
            onClick={() => onChange(chosen.filter((o) => o.code !== c.code))}
          >
            <strong>{c.code}</strong> {text(c.code)} <span aria-hidden="true">−</span>
            <span className="sr-only">{t("take it off")}</span>
          </button>
          <label className="flex items-center gap-1 text-small text-soft">
            ×
            <input
              aria-label={t("weight of {{code}}", { code: c.code })}
              value={c.weight ?? ""}
              placeholder="1"
              className="w-10 rounded-corner border border-rule bg-sheet px-1 text-right text-ink"
              onChange={(e) =>
                onChange(chosen.map((o) => (o.code === c.code ? weighed(o, e.target.value) : o)))
              }
            />
          </label>
        </div>
      ))}
      <Finder
        frameworks={frameworks}
        taken={chosen.map((c) => c.code)}
        onTake={(code) => onChange([...chosen, { code }])}
      />
    </div>
  );
}

const weighed = ({ code }: Aligned, weight: string): Aligned => (weight ? { code, weight } : { code });

function Finder({
  frameworks,
  taken,
  onTake,
}: {
  frameworks: FrameworkFile[];
  taken: string[];
  onTake: (code: string) => void;
}) {
  const id = useId();
  const [words, setWords] = useState("");
  const [level, setLevel] = useState("");
  const [at, setAt] = useState(0);
  const found = words.trim()
    ? findStandards(frameworks, words, level ? Number(level) : null)
        .filter((f) => !taken.includes(f.code))
        .slice(0, SHOWN)
    : [];
  const take = (f: Found | undefined) => {
    if (f) {
      onTake(f.code);
      setWords("");
      setAt(0);
    }
  };
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-small font-semibold text-soft">
        {t("Standards")}
      </label>
      <div className="flex gap-2">
        <input
          id={id}
          role="combobox"
          aria-expanded={found.length > 0}
          aria-controls={`${id}-all`}
          aria-activedescendant={found[at] ? `${id}-${at}` : undefined}
          value={words}
          placeholder={t("a code or words")}
          autoComplete="off"
          className="w-40 rounded-corner border border-rule-strong bg-sheet px-2 py-1"
          onChange={(e) => {
            setWords(e.target.value);
            setAt(0);
          }}
          onKeyDown={(e) => {
            if (e.key === "ArrowDown" || e.key === "ArrowUp") {
              e.preventDefault();
              setAt(Math.max(0, Math.min(found.length - 1, at + (e.key === "ArrowDown" ? 1 : -1))));
            } else if (e.key === "Enter") {
              e.preventDefault();
              take(found[at]);
            } else if (e.key === "Escape") {
              setWords("");
            }
          }}
        />
        <select
          aria-label={t("Depth in the framework")}
          value={level}
          className="rounded-corner border border-rule bg-sheet px-1 text-small text-soft"
          onChange={(e) => setLevel(e.target.value)}
        >
          <option value="">{t("any depth")}</option>
          {["1", "2", "3", "4"].map((n) => (
            <option key={n} value={n}>
              {t("depth {{n}}", { n })}
            </option>
          ))}
        </select>
      </div>
      <div id={`${id}-all`} role="listbox" aria-label={t("standards found")} className="max-w-md">
        {found.map((f, i) => (
          <div
            key={`${f.framework.id} ${f.code}`}
            id={`${id}-${i}`}
            role="option"
            aria-selected={i === at}
            tabIndex={-1}
            className={`cursor-pointer border-b border-rule px-2 py-1 text-small ${i === at ? "bg-standard-wash" : "bg-sheet"}`}
            onMouseDown={(e) => {
              e.preventDefault();
              take(f);
            }}
          >
            <strong className="text-standard">{f.code}</strong> {f.text}{" "}
            <span className="text-soft">
              {f.framework.title} {f.framework.version}
            </span>
          </div>
        ))}
      </div>
      {words.trim() && found.length === 0 && (
        <p className="text-small text-waiting">{t("No standard in this course's frameworks matches.")}</p>
      )}
    </div>
  );
}
