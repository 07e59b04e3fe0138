import { t } from "../../../text";

/** A share with the interval in which it lies, as a line and a point; in words for whoever does not see it. */
export function ShareBar({
  place,
  low,
  high,
  bound,
  className = "w-32",
}: {
  place: number;
  low: number;
  high: number;
  bound?: number | undefined;
  className?: string;
}) {
  const percent = (v: number) => Math.round(v * 100);
  return (
    <span className={`relative block h-3 ${className}`}>
      <span aria-hidden="true" className="absolute inset-x-0 top-1.5 border-t-2 border-rule" />
      {bound !== undefined && (
        <span
          aria-hidden="true"
          className="absolute -top-0.5 h-4 border-l border-rule-strong"
          style={{ left: `${bound * 100}%` }}
        />
      )}
      <span
        aria-hidden="true"
        className="absolute top-1 border-t-4 border-standard"
        style={{ left: `${low * 100}%`, width: `${(high - low) * 100}%` }}
      />
      <span
        aria-hidden="true"
        className="absolute top-0.5 size-2.5 -translate-x-1/2 rounded-full bg-standard"
        style={{ left: `${Math.min(1, Math.max(0, place)) * 100}%` }}
      />
      <span className="sr-only">
        {t("between {{low}}% and {{high}}%", { low: percent(low), high: percent(high) })}
      </span>
    </span>
  );
}
