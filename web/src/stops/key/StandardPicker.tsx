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
  const add = (code: string) => {
    if (!chosen.some((c) => c.code === code)) {
      onChange([...chosen, { code }]);
    }
    setWords("");
  };
  const type = (typed: string) => {
    // A line chosen from the list is whole; what is being typed waits for Enter.
    const whole = framework.standards.find((s) => `${s.code} ${s.text}` === typed);
    whole ? add(whole.code) : setWords(typed);
  };
  const enter = () => {
    const wanted = words.trim().toLowerCase();
    const found =
      framework.standards.find((s) => s.code.toLowerCase() === wanted) ??
      framework.standards.find((s) => wanted && `${s.code} ${s.text}`.toLowerCase().includes(wanted));
    if (found) {
      add(found.code);
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
            onClick={() => onChange(chosen.filter((o) => o.code !== c.code))}
          >
            <strong>{c.code}</strong>{" "}
            {framework.standards.find((s) => s.code === c.code)?.text ?? t("not in the framework")}{" "}
            <span aria-hidden="true">−</span>
            <span className="sr-only">{t("take it off")}</span>
          </button>
        ))}
        <input
          id={id}
          list={`${id}-all`}
          value={words}
          placeholder={t("a code or words")}
          className="w-40 rounded-corner border border-rule-strong bg-sheet px-2 py-1"
          onChange={(e) => type(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && enter()}
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
