import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useId, useRef, useState } from "react";
import { api, ok } from "../api/client";
import { t } from "../text";
import { Maths } from "./Maths";

const SIGNS: [string, string, number][] = [
  ["√", "√()", 2],
  ["x²", "^2", 2],
  ["xⁿ", "^()", 2],
  ["a/b", "()/()", 1],
  ["|x|", "||", 1],
  ["π", "π", 1],
  ["≤", "≤", 1],
  ["≥", "≥", 1],
  ["≠", "≠", 1],
  ["±", "±", 1],
  ["·", "·", 1],
  ["( )", "()", 1],
];

/** How a typed line was read, and where `work` asks for it, what it comes to. */
export function useMaths(line: string, variables: string[], work = false) {
  const asked = useDeferredValue(line.trim());
  return useQuery({
    queryKey: ["maths", asked, variables, work],
    queryFn: () => ok(api.POST("/api/maths", { body: { line: asked, variables, work } })),
    enabled: asked !== "",
    staleTime: Number.POSITIVE_INFINITY,
    placeholderData: (before) => before,
  });
}

/** A line of mathematics: typed as in school, shown as it is printed, with keys for the signs that keyboards lack. */
export function MathsField({
  label,
  value,
  onChange,
  onEnter,
  onLeave,
  variables = [],
  placeholder,
  className = "",
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  onEnter?: () => void;
  /** The field and its signs are left. */
  onLeave?: () => void;
  variables?: string[];
  placeholder?: string;
  className?: string;
}) {
  const field = useRef<HTMLInputElement>(null);
  const [signs, setSigns] = useState(false);
  const id = useId();
  const shown = useMaths(value, variables);
  const put = (sign: string, caret: number) => {
    const at = field.current;
    const from = at?.selectionStart ?? value.length;
    const to = at?.selectionEnd ?? value.length;
    onChange(value.slice(0, from) + sign + value.slice(to));
    requestAnimationFrame(() => {
      at?.focus();
      at?.setSelectionRange(from + caret, from + caret);
    });
  };
  return (
    <fieldset
      className={`min-w-0 ${className}`}
      onBlur={(e) => !e.currentTarget.contains(e.relatedTarget as Node | null) && onLeave?.()}
    >
      <div className="flex items-center gap-2">
        <input
          ref={field}
          aria-label={label}
          aria-describedby={id}
          value={value}
          placeholder={placeholder}
          autoCapitalize="off"
          autoComplete="off"
          spellCheck={false}
          className="min-w-0 flex-1 rounded-corner border border-rule-strong bg-sheet px-2 py-1 font-script text-words"
          onChange={(e) => onChange(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && onEnter?.()}
        />
        <button
          type="button"
          aria-expanded={signs}
          aria-label={t("Maths symbols: {{label}}", { label })}
          className="min-h-8 rounded-corner border border-rule px-2 text-soft"
          onClick={() => setSigns(!signs)}
        >
          √x
        </button>
      </div>
      {signs && (
        <div className="mt-1 flex flex-wrap gap-1">
          {SIGNS.map(([name, sign, caret]) => (
            <button
              key={name}
              type="button"
              className="min-h-8 min-w-9 rounded-corner border border-rule bg-sheet px-2 font-script"
              onClick={() => put(sign, caret)}
            >
              {name}
            </button>
          ))}
        </div>
      )}
      <p id={id} className="min-h-6 text-small text-soft" aria-live="polite">
        {value.trim() !== "" &&
          (shown.data?.latex ? (
            <Maths latex={shown.data.latex} className="text-words text-ink" />
          ) : (
            shown.data && t("Cannot be read yet: {{why}}", { why: shown.data.why })
          ))}
      </p>
    </fieldset>
  );
}
