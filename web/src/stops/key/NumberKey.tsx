import { TextButton } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { t } from "../../text";
import { type Band, put, without } from "./definition";
import type { KeyProps } from "./ItemEditor";
import { Proposed } from "./kinds/Proposed";
import { Share } from "./kinds/Share";

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
      <h3 className="text-small font-semibold text-soft">{t("Accepted answers")}</h3>
      <ul>
        {accept.map((band, i) => (
          <li key={i} className="flex flex-wrap items-center gap-3 border-b border-rule py-1.5">
            {band.from === undefined ? (
              <>
                <Part
                  label={t("value")}
                  value={band.value ?? ""}
                  onChange={(value) => set(i, { ...band, value })}
                />
                <Part
                  label="±"
                  name={t("tolerance, such as 0.1 or 2%")}
                  value={band.within ?? ""}
                  onChange={(within) => set(i, put(band, "within", within))}
                />
              </>
            ) : (
              <>
                <Part label={t("from")} value={band.from} onChange={(from) => set(i, { ...band, from })} />
                <Part label={t("to")} value={band.to ?? ""} onChange={(to) => set(i, { ...band, to })} />
              </>
            )}
            <Part
              label={t("credit")}
              value={band.credit ?? "1"}
              onChange={(credit) => set(i, { ...band, credit })}
            />
            <TextButton
              className="ml-auto text-small text-soft"
              onClick={() => onChange({ ...item, accept: accept.filter((_, n) => n !== i) })}
            >
              {t("Remove")} <span className="sr-only">{t("entry {{n}}", { n: i + 1 })}</span>
            </TextButton>
          </li>
        ))}
      </ul>
      {accept.map(
        (band, i) =>
          band.value &&
          !/^[+-]?\d*[.,]?\d+$/.test(band.value) && (
            <Proposed
              key={i}
              line={band.value}
              variables={[]}
              taken={accept.map((a) => a.value ?? "")}
              onTake={(value) => set(i, { ...band, value })}
            />
          ),
      )}
      <div className="mt-2 flex flex-wrap gap-4">
        <TextButton
          className="underline"
          onClick={() => onChange({ ...item, accept: [...accept, { value: "" }] })}
        >
          {accept.length === 0
            ? t("Type the value or a calculation, such as 3*4/8")
            : t("Add a value or tolerance")}
        </TextButton>
        <TextButton
          className="underline"
          onClick={() => onChange({ ...item, accept: [...accept, { from: "", to: "" }] })}
        >
          {t("Add a range")}
        </TextButton>
        <Share
          label={t("Penalty for a wrong answer")}
          value={item.penalty}
          onChange={(p) => onChange(put(item, "penalty", p))}
        />
      </div>
      <div className="mt-4 flex flex-wrap gap-4">
        <Field
          label={t("Unit (leave empty for a number alone)")}
          value={item.unit?.expect ?? ""}
          className="w-44"
          onChange={(e) => setUnit(e.target.value)}
        />
        {item.unit && (
          <>
            <Field
              label={t("Credit without the unit")}
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
              {t("Accept other units of the same kind")}
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
