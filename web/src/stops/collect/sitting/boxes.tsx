import { type InputHTMLAttributes, type ReactNode, useId } from "react";

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
  const id = useId();
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-2">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        value={value}
        onChange={(e) => onChange(e.target.value as T)}
        className={`${BOX} max-w-full`}
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </span>
  );
}

/** Something typed within a sentence: the words before it are its label. */
export function Box({
  label,
  after,
  className = "",
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: ReactNode; after?: string }) {
  const id = useId();
  return (
    <span className="inline-flex flex-wrap items-baseline gap-x-2">
      <label htmlFor={id}>{label}</label>
      <input id={id} className={`${BOX} ${className}`} {...rest} />
      {after && <span>{after}</span>}
    </span>
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
