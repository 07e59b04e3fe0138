import { Field } from "../../parts/Field";
import { t } from "../../text";
import { zone } from "../../text/zone";

/** A sitting's times as they are typed, in the school's zone. */
export type Times = { opens: string; closes: string; minutes: string };

/** When a sitting opens and closes, and how long each student has. */
export function TimesFields({ times, onChange }: { times: Times; onChange: (times: Times) => void }) {
  return (
    <>
      <Field
        label={t("Opens ({{zone}})", { zone: zone() })}
        type="datetime-local"
        value={times.opens}
        onChange={(e) => onChange({ ...times, opens: e.target.value })}
      />
      <Field
        label={t("Closes ({{zone}})", { zone: zone() })}
        type="datetime-local"
        value={times.closes}
        onChange={(e) => onChange({ ...times, closes: e.target.value })}
      />
      <Field
        label={t("Time limit in minutes (leave empty for none)")}
        inputMode="numeric"
        value={times.minutes}
        onChange={(e) => onChange({ ...times, minutes: e.target.value.replace(/\D/g, "") })}
      />
    </>
  );
}
