import { t } from "../text";
import { figure } from "../text/figures";

/** A mean from 0 to 1 as a point on a line, with the interval in which it lies as a line through it. */
export function MeanBar({
  mean,
  low,
  high,
  expected,
  of = 1,
  className = "w-32",
}: {
  mean: number;
  low: number | null;
  high: number | null;
  /** What its writer expected, as a small upright. */
  expected?: number | undefined;
  /** What the whole line is worth in words. */
  of?: number;
  className?: string;
}) {
  return (
    <span className={`relative h-3 shrink-0 ${className}`}>
      <span aria-hidden="true" className="absolute inset-x-0 top-1.5 border-t-2 border-rule" />
      <span
        aria-hidden="true"
        className="absolute top-1.5 border-t-2 border-ink/60"
        style={{ left: `${(low ?? 0) * 100}%`, width: `${((high ?? 0) - (low ?? 0)) * 100}%` }}
      />
      {expected !== undefined && (
        <span
          aria-hidden="true"
          className="absolute -top-0.5 h-4 border-l-2 border-standard"
          style={{ left: `${expected * 100}%` }}
        />
      )}
      <span
        aria-hidden="true"
        className="absolute top-0.5 size-2.5 -translate-x-1/2 rounded-full bg-ink"
        style={{ left: `${Math.max(0, Math.min(1, mean)) * 100}%` }}
      />
      <span className="sr-only">
        {t("between {{low}} and {{high}}", { low: figure((low ?? 0) * of), high: figure((high ?? 0) * of) })}
      </span>
    </span>
  );
}
