import { useState } from "react";
import { Field } from "../../parts/Field";
import { t } from "../../text";
import { fieldTime, fromField, zone } from "../../text/zone";

/** A sitting's times as they are typed, in the school's zone. */
export type Times = { opens: string; closes: string; minutes: string };

/** Times that are being typed: what they were at first, and what the server takes. */
export function useTimes(first: () => { opens: Date; closes: Date; minutes: number | null }) {
  const [times, setTimes] = useState<Times>(() => {
    const { opens, closes, minutes } = first();
    return {
      opens: fieldTime(opens),
      closes: fieldTime(closes),
      minutes: minutes === null ? "" : String(minutes),
    };
  });
  const asked = () => ({
    opens: fromField(times.opens).toISOString(),
    closes: fromField(times.closes).toISOString(),
    minutes: times.minutes ? Number(times.minutes) : null,
    lateUntil: null,
  });
  return { times, setTimes, asked };
}

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
