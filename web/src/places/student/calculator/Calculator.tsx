import { useRef, useState } from "react";
import { Choose } from "../../../parts/Choose";
import { Field } from "../../../parts/Field";
import { t } from "../../../text";
import { reckon, shown } from "./reckon";

const PLAIN = [
  "7",
  "8",
  "9",
  "÷",
  "(",
  "4",
  "5",
  "6",
  "×",
  ")",
  "1",
  "2",
  "3",
  "−",
  "√(",
  "0",
  ".",
  "²",
  "+",
  "^",
];
const SCIENTIFIC = ["sin(", "cos(", "tan(", "π", "%", "asin(", "acos(", "atan(", "log(", "ln("];

/** A line to type or to press, and what it comes to. */
export function Calculator({
  scientific,
  line,
  onLine,
}: {
  scientific: boolean;
  line: string;
  onLine: (line: string) => void;
}) {
  const field = useRef<HTMLDivElement>(null);
  const [angle, setAngle] = useState<"deg" | "rad">("deg");
  const value = reckon(line, scientific ? angle : "none");
  const press = (sign: string) => {
    const input = field.current?.querySelector("input");
    const from = input?.selectionStart ?? line.length;
    const to = input?.selectionEnd ?? line.length;
    onLine(line.slice(0, from) + sign + line.slice(to));
    requestAnimationFrame(() => {
      input?.focus();
      input?.setSelectionRange(from + sign.length, from + sign.length);
    });
  };
  const keys = scientific ? [...PLAIN, ...SCIENTIFIC] : PLAIN;
  return (
    <section
      aria-label={t("Calculator")}
      className="mt-2 grid max-w-sm gap-2 border border-rule bg-sheet p-3"
    >
      <div ref={field}>
        <Field
          label={t("What to work out")}
          value={line}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          maxLength={200}
          onChange={(e) => onLine(e.target.value)}
        />
      </div>
      <output className="min-h-7 text-right font-script text-words tabular-nums" aria-live="polite">
        {value === null ? "" : `= ${shown(value)}`}
      </output>
      <div className="grid grid-cols-5 gap-1">
        {keys.map((sign) => (
          <button
            key={sign}
            type="button"
            className="min-h-9 rounded-corner border border-rule"
            onClick={() => press(sign)}
          >
            {sign.replace("(", sign.length > 1 ? "" : "(")}
          </button>
        ))}
      </div>
      <div className="flex items-baseline justify-between gap-3">
        <button
          type="button"
          className="min-h-9 rounded-corner border border-rule px-3"
          onClick={() => onLine("")}
        >
          {t("Clear")}
        </button>
        {scientific && (
          <Choose
            label={t("Angles in")}
            value={angle}
            options={[
              ["deg", t("degrees")],
              ["rad", t("radians")],
            ]}
            onChange={(unit) => setAngle(unit === "rad" ? "rad" : "deg")}
          />
        )}
      </div>
    </section>
  );
}
