import { useId } from "react";
import { Field } from "../../parts/Field";
import { t } from "../../text";

const ZONES: string[] = Intl.supportedValuesOf?.("timeZone") ?? ["UTC"];

/** The zone in which all times of a school are told: typed or chosen from those that the browser knows. */
export function ZoneField({ value, onChange }: { value: string; onChange: (zone: string) => void }) {
  const id = useId();
  return (
    <div>
      <Field
        label={t("Time zone")}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        list={id}
        required
      />
      <datalist id={id}>
        {ZONES.map((z) => (
          <option key={z} value={z} />
        ))}
      </datalist>
    </div>
  );
}

export function LanguageField({ value, onChange }: { value: string; onChange: (language: string) => void }) {
  return (
    <Field
      label={t("Language of the papers, as its code (en, nb, de …)")}
      value={value}
      onChange={(e) => onChange(e.target.value)}
      required
    />
  );
}
