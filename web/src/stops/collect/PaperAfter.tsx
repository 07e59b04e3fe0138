import { useId } from "react";
import { t } from "../../text";
import type { PaperAfter } from "./sitting/draft";

/** When that can be, in words. */
export const paperAfterInWords = (): [PaperAfter, string][] => [
  ["WHEN_ALL_CLOSED", t("When every section’s time is over")],
  ["AT_ONCE", t("At once")],
  ["NEVER", t("Never")],
];

/** When students who have handed in may see the questions again. */
export function PaperAfterChoice({
  value,
  onChange,
}: {
  value: PaperAfter;
  onChange: (value: PaperAfter) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-small font-semibold text-soft">
        {t("After handing in, students can see the questions")}
      </label>
      <select
        id={id}
        value={value}
        onChange={(e) => onChange(e.target.value as PaperAfter)}
        className="w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1.5 text-body font-normal text-ink"
      >
        {paperAfterInWords().map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
}
