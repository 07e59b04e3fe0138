import { TextButton } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { t } from "../../text";
import type { Band } from "./definition";
import type { KeyProps } from "./ItemEditor";

/** Accepted values with tolerance and credit; the unit, and what a missing or another one is worth. */
export function NumberKey({ item, onChange }: KeyProps) {
  const accept = item.accept ?? [];
  const set = (i: number, band: Band) =>
    onChange({ ...item, accept: accept.map((a, n) => (n === i ? band : a)) });
  const { unit: _unit, figures: _figures, ...plain } = item;
  const setUnit = (expect: string) =>
    onChange(expect ? { ...item, unit: { missing: "1", ...item.unit, expect } } : without(item, "unit"));
  return (
    <>
      <h3 className="text-small font-semibold text-soft">{t("Accepted")}</h3>
      <ul>
        {accept.map((band, i) => (
          <li key={i} className="flex flex-wrap items-center gap-3 border-b border-rule py-1.5">
            <Part
              label={t("value")}
              value={band.value ?? ""}
              onChange={(value) => set(i, { ...band, value })}
            />
            <Part
              label="±"
              name={t("tolerance, such as 0.1 or 2%")}
              value={band.within ?? ""}
              onChange={(within) => set(i, within ? { ...band, within } : without(band, "within"))}
            />
            <Part
              label={t("credit")}
              value={band.credit ?? "1"}
              onChange={(credit) => set(i, { ...band, credit })}
            />
            <TextButton
              className="ml-auto text-small text-soft"
              onClick={() => onChange({ ...item, accept: accept.filter((_, n) => n !== i) })}
            >
              {t("out")}
            </TextButton>
          </li>
        ))}
      </ul>
      <TextButton
        className="mt-2 underline"
        onClick={() => onChange({ ...item, accept: [...accept, { value: "" }] })}
      >
        {accept.length === 0 ? t("type the value") : t("another value or a wider band")}
      </TextButton>
      <div className="mt-4 flex flex-wrap gap-4">
        <Field
          label={t("Unit (none: a bare number)")}
          value={item.unit?.expect ?? ""}
          className="w-44"
          onChange={(e) => setUnit(e.target.value)}
        />
        {item.unit && (
          <>
            <Field
              label={t("Without a unit, share")}
              value={item.unit.missing ?? "0"}
              className="w-36"
              onChange={(e) =>
                item.unit && onChange({ ...item, unit: { ...item.unit, missing: e.target.value } })
              }
            />
            <label className="flex items-center gap-2 self-end pb-2">
              <input
                type="checkbox"
                checked={item.unit.convert ?? true}
                onChange={(e) =>
                  item.unit && onChange({ ...item, unit: { ...item.unit, convert: e.target.checked } })
                }
              />
              {t("other units of its kind count too")}
            </label>
          </>
        )}
        <Field
          label={t("Significant figures")}
          value={item.figures ? String(item.figures.count) : ""}
          inputMode="numeric"
          className="w-36"
          onChange={(e) =>
            onChange(
              e.target.value
                ? {
                    ...item,
                    figures: { otherwise: "1/2", ...item.figures, count: Number(e.target.value) || 0 },
                  }
                : { ...plain, ...(item.unit ? { unit: item.unit } : {}) },
            )
          }
        />
      </div>
    </>
  );
}

function without<T extends object, K extends keyof T>(from: T, name: K): Omit<T, K> & T {
  const { [name]: _, ...rest } = from;
  return rest as Omit<T, K> & T;
}

function Part({
  label,
  name,
  value,
  onChange,
}: {
  label: string;
  name?: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-small text-soft">
      {label}
      <input
        aria-label={name ?? label}
        value={value}
        inputMode="decimal"
        onChange={(e) => onChange(e.target.value)}
        className="w-20 rounded-corner border border-rule-strong bg-sheet px-2 py-0.5 font-script text-words text-ink"
      />
    </label>
  );
}
