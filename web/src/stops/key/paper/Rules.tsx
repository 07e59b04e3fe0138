import { TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { Check, Count, FaultLine, Field } from "../../../parts/Field";
import { t } from "../../../text";
import { type Grading, put } from "../definition";
import { type Step, stepKind, stepOf } from "./curve";

type RulesProps = {
  grading: Grading;
  faults: { path: string; message: string }[];
  onChange: (grading: Grading) => void;
};

/** Pass mark, attempts, lateness, curve and rounding. */
export function Rules({ grading, faults, onChange }: RulesProps) {
  const fault = (path: string) => faults.find((f) => f.path === `grading.${path}`)?.message;
  const late = grading.late;
  return (
    <section className="mt-6 border-t border-rule pt-4" aria-label={t("Rules of the paper")}>
      <h2 className="mb-2 font-semibold">{t("Rules of the paper")}</h2>
      <div className="flex flex-wrap items-start gap-4">
        <Field
          label={t("Pass mark (%)")}
          value={grading.pass ?? ""}
          placeholder={t("no pass mark")}
          className="w-40"
          fault={fault("pass")}
          onChange={(e) => onChange(put(grading, "pass", e.target.value))}
        />
        <Count
          label={t("Decimal places of the percentage")}
          value={grading.percentDigits ?? 1}
          className="w-44"
          fault={fault("percentDigits")}
          onChange={(n) => onChange({ ...grading, percentDigits: n ?? 0 })}
        />
        <Choose
          className="self-end pb-1"
          label={t("Attempt that counts")}
          value={grading.attempts ?? "best"}
          options={[
            ["best", t("the best")],
            ["last", t("the latest")],
            ["first", t("the first")],
            ["mean", t("the mean of all")],
          ]}
          onChange={(attempts) => onChange({ ...grading, attempts })}
        />
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <Check
          checked={late !== undefined}
          onChange={(on) => onChange(put(grading, "late", on ? { perDay: "10%", cap: "50%" } : undefined))}
        >
          {t("Late penalty")}
        </Check>
        {late && (
          <>
            <Field
              label={t("Each day or part of a day")}
              value={late.perDay ?? ""}
              className="w-24"
              fault={fault("late.perDay")}
              onChange={(e) => onChange({ ...grading, late: { ...late, perDay: e.target.value } })}
            />
            <Field
              label={t("At most")}
              value={late.cap ?? ""}
              className="w-24"
              fault={fault("late.cap")}
              onChange={(e) => onChange({ ...grading, late: { ...late, cap: e.target.value } })}
            />
          </>
        )}
        <Check
          checked={grading.negativeTotals ?? false}
          onChange={(on) => onChange(put(grading, "negativeTotals", on || undefined))}
        >
          {t("Allow scores below 0")}
        </Check>
      </div>
      <Curve grading={grading} faults={faults} onChange={onChange} />
    </section>
  );
}

const STEPS: [Step, string][] = [
  ["add", "add percentage points"],
  ["scaleTo", "scale so that the highest becomes"],
  ["root", "10 × the square root of the percentage"],
  ["line", "a line through two points"],
];

function Curve({ grading, faults, onChange }: RulesProps) {
  const steps = grading.curve ?? [];
  const set = (next: Record<string, unknown>[]) => onChange(put(grading, "curve", next));
  return (
    <div className="mt-3">
      <h3 className="text-small font-semibold text-soft">
        {t("Curve: steps applied in order to the percentage")}
      </h3>
      {steps.map((step, i) => {
        const kind = stepKind(step);
        const value = step[kind];
        return (
          <div key={i} className="flex flex-wrap items-center gap-3 py-1">
            <Choose
              label={t("step {{n}}", { n: i + 1 })}
              value={kind}
              options={STEPS.map(([id, words]) => [id, t(words)])}
              onChange={(k) => set(steps.map((s, n) => (n === i ? stepOf(k as Step, "") : s)))}
            />
            {kind !== "root" && (
              <input
                aria-label={t("amount of step {{n}}", { n: i + 1 })}
                value={Array.isArray(value) ? value.flat().join(" ") : String(value)}
                placeholder={kind === "line" ? "x1 y1 x2 y2" : "5"}
                className="w-32 rounded-corner border border-rule-strong bg-sheet px-2 py-1"
                onChange={(e) => set(steps.map((s, n) => (n === i ? stepOf(kind, e.target.value) : s)))}
              />
            )}
            <TextButton className="text-small text-soft" onClick={() => set(steps.filter((_, n) => n !== i))}>
              {t("Remove")} <span className="sr-only">{t("step {{n}}", { n: i + 1 })}</span>
            </TextButton>
            {faults
              .filter((f) => f.path.startsWith(`grading.curve[${i}]`))
              .map((f) => (
                <FaultLine key={f.path}>{f.message}</FaultLine>
              ))}
          </div>
        );
      })}
      <TextButton onClick={() => set([...steps, stepOf("add", "5")])}>{t("another step")}</TextButton>
    </div>
  );
}
