/** How many of how many, as a bar; the number stands beside it. */
export function CountBar({ part, of, className = "w-32" }: { part: number; of: number; className?: string }) {
  return (
    <span aria-hidden="true" className={`inline-block h-3 align-middle ${className}`}>
      <span className="block h-3 bg-ink" style={{ width: `${of === 0 ? 0 : (100 * part) / of}%` }} />
    </span>
  );
}
