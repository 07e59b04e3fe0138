/** What is seen here: a mean of marks, or what was shown of a standard. */
type Of = "mean" | "standard";

const LINE: Record<Of, string> = {
  mean: "top-1.5 border-t-2 border-ink/60",
  standard: "top-1 border-t-4 border-standard",
};
const POINT: Record<Of, string> = { mean: "bg-ink", standard: "bg-standard" };
const UPRIGHT: Record<Of, string> = {
  mean: "border-l-2 border-standard",
  standard: "border-l border-rule-strong",
};

/** A share from 0 to 1 as a point on a line, and the interval in which it lies as a stronger line through it. */
export function IntervalBar({
  of,
  place,
  low,
  high,
  upright,
  says,
  className = "w-32",
}: {
  of: Of;
  place: number;
  low: number;
  high: number;
  /** What it is held against: what was expected, or where a level begins. */
  upright?: number | undefined;
  /** The interval in words, for whoever does not see it. */
  says: string;
  className?: string;
}) {
  const at = (share: number) => `${Math.min(1, Math.max(0, share)) * 100}%`;
  return (
    <span className={`relative block h-3 shrink-0 ${className}`}>
      <span aria-hidden="true" className="absolute inset-x-0 top-1.5 border-t-2 border-rule" />
      {upright !== undefined && (
        <span
          aria-hidden="true"
          className={`absolute -top-0.5 h-4 ${UPRIGHT[of]}`}
          style={{ left: at(upright) }}
        />
      )}
      <span
        aria-hidden="true"
        className={`absolute ${LINE[of]}`}
        style={{ left: at(low), width: `calc(${at(high)} - ${at(low)})` }}
      />
      <span
        aria-hidden="true"
        className={`absolute top-0.5 size-2.5 -translate-x-1/2 rounded-full ${POINT[of]}`}
        style={{ left: at(place) }}
      />
      <span className="sr-only">{says}</span>
    </span>
  );
}
