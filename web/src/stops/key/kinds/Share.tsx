/** A share of the points, such as 1/2; empty is 0. */
export function Share({
  label,
  value,
  usual = "0",
  onChange,
}: {
  label: string;
  value: string | undefined;
  usual?: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-small text-soft">
      {label}
      <input
        value={value ?? ""}
        placeholder={usual}
        onChange={(e) => onChange(e.target.value)}
        className="w-14 rounded-corner border border-rule bg-sheet px-1 py-0.5 text-right text-body text-ink"
      />
    </label>
  );
}
