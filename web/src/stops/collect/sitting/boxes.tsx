import type { InputHTMLAttributes, ReactNode } from "react";

const BOX = "rounded-corner border border-rule-strong bg-sheet px-2 py-1 text-ink";

/** A choice within a sentence: the words before it are its label. */
export function Pick<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: ReactNode;
  value: T;
  options: [value: T, words: string][];
  onChange: (value: T) => void;
}) {
  return (
    <label className="inline-flex flex-wrap items-baseline gap-x-2">
      <span>{label}</span>
      <select value={value} onChange={(e) => onChange(e.target.value as T)} className={`${BOX} max-w-full`}>
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Something typed within a sentence: the words before it are its label. */
export function Box({
  label,
  after,
  className = "",
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: ReactNode; after?: string }) {
  return (
    <label className="inline-flex flex-wrap items-baseline gap-x-2">
      <span>{label}</span>
      <input className={`${BOX} ${className}`} {...rest} />
      {after && <span>{after}</span>}
    </label>
  );
}

/** A group of sentences with a heading. */
export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="min-w-0">
      <h2 className="mb-2 text-small font-semibold text-soft">{title}</h2>
      <div className="grid justify-items-start gap-2">{children}</div>
    </section>
  );
}
