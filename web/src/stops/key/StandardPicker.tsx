import { useId, useState } from "react";
import { t } from "../../text";
import type { Aligned, FrameworkFile } from "./definition";

/** Standards by typing a code or words; each chosen one can be taken off again. */
export function StandardPicker({
  framework,
  chosen,
  onChange,
}: {
  framework: FrameworkFile | undefined;
  chosen: Aligned[];
  onChange: (chosen: Aligned[]) => void;
}) {
  const id = useId();
  const [words, setWords] = useState("");
  if (!framework) {
    return null;
  }
  const take = (typed: string) => {
    const wanted = typed.trim().toLowerCase();
    const found =
      framework.standards.find((s) => `${s.code} ${s.text}`.toLowerCase() === wanted) ??
      framework.standards.find((s) => s.code.toLowerCase() === wanted);
    if (found && !chosen.some((c) => c.code === found.code)) {
      onChange([...chosen, { code: found.code }]);
      setWords("");
    } else {
      setWords(typed);
    }
  };
  return (
    <div className="min-w-60 flex-1">
      <label htmlFor={id} className="mb-1 block text-small font-semibold text-soft">
        {t("Standards")}
      </label>
      <div className="flex flex-wrap items-center gap-2">
        {chosen.map((c) => (
          <button
            key={c.code}
            type="button"
            className="rounded-corner bg-standard-wash px-2 py-1 text-left text-small text-standard"
            aria-label={t("take {{code}} off", { code: c.code })}
            onClick={() => onChange(chosen.filter((o) => o.code !== c.code))}
          >
            <strong>{c.code}</strong>{" "}
            {framework.standards.find((s) => s.code === c.code)?.text ?? t("not in the framework")}{" "}
            <span aria-hidden="true">−</span>
          </button>
        ))}
        <input
          id={id}
          list={`${id}-all`}
          value={words}
          placeholder={t("a code or words")}
          className="w-40 rounded-corner border border-rule-strong bg-sheet px-2 py-1"
          onChange={(e) => take(e.target.value)}
          onKeyDown={(e) => {
            if (e.key === "Enter" && words.trim()) {
              const like = framework.standards.find((s) =>
                `${s.code} ${s.text}`.toLowerCase().includes(words.trim().toLowerCase()),
              );
              if (like) {
                take(like.code);
              }
            }
          }}
        />
        <datalist id={`${id}-all`}>
          {framework.standards.map((s) => (
            <option key={s.code} value={`${s.code} ${s.text}`} />
          ))}
        </datalist>
      </div>
    </div>
  );
}
