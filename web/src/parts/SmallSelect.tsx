import { useId } from "react";

/** A choice in a line of small print: its label, then what is chosen. */
export function SmallSelect({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: [value: string, words: string][];
  onChange: (value: string) => void;
}) {
  const id = useId();
  return (
    <span className="whitespace-nowrap">
      <label htmlFor={id}>{label}</label>{" "}
      <select
        id={id}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        className="min-h-7 rounded-corner border border-rule bg-sheet px-1 text-ink"
      >
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </span>
  );
}
