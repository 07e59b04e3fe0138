import type { ComponentProps, InputHTMLAttributes, ReactNode, TextareaHTMLAttributes } from "react";
import { useId } from "react";

const BOX = "rounded-corner border border-rule-strong bg-sheet px-2 py-1 font-script text-words text-ink";

/** A labelled field. What is wrong stands right under it. */
export function Field({
  label,
  fault,
  hidden = false,
  className = "",
  id: given,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; fault?: string | undefined; hidden?: boolean }) {
  const own = useId();
  const id = given ?? own;
  return (
    <div className={className}>
      <label htmlFor={id} className={hidden ? "sr-only" : "mb-1 block text-small font-semibold text-soft"}>
        {label}
      </label>
      <input id={id} className={`${BOX} w-full`} aria-invalid={fault ? true : undefined} {...rest} />
      {fault && <FaultLine>{fault}</FaultLine>}
    </div>
  );
}

/** What of something typed is a whole number; none where there is no digit. */
export function whole(typed: string): number | undefined {
  const digits = typed.replace(/\D/g, "").slice(0, 6);
  return digits === "" ? undefined : Number(digits);
}

/** A field for a whole number; empty is none, and whatever is not a digit is left out. */
export function Count({
  value,
  onChange,
  ...rest
}: Omit<ComponentProps<typeof Field>, "value" | "onChange"> & {
  value: number | undefined;
  onChange: (n: number | undefined) => void;
}) {
  return (
    <Field
      {...rest}
      value={value === undefined ? "" : String(value)}
      inputMode="numeric"
      onChange={(e) => onChange(whole(e.target.value))}
    />
  );
}

export function Area({
  label,
  fault,
  hidden = false,
  className = "",
  id: given,
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & {
  label: ReactNode;
  fault?: string | undefined;
  hidden?: boolean;
}) {
  const own = useId();
  const id = given ?? own;
  return (
    <div className={className}>
      <label htmlFor={id} className={hidden ? "sr-only" : "mb-1 block text-small font-semibold text-soft"}>
        {label}
      </label>
      <textarea id={id} className={`${BOX} block field-sizing-content min-h-15 w-full`} rows={2} {...rest} />
      {fault && <FaultLine>{fault}</FaultLine>}
    </div>
  );
}

export function FaultLine({ children }: { children: ReactNode }) {
  return (
    <p className="mt-1 text-small font-semibold text-waiting" role="alert">
      {children}
    </p>
  );
}

/** A thing that is on or off, with a shape that says which. */
export function Toggle({
  on,
  onChange,
  children,
}: {
  on: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={() => onChange(!on)}
      className={`rounded-corner border px-3 py-1 ${on ? "border-by-rule bg-by-rule-wash font-semibold" : "border-rule bg-sheet"}`}
    >
      <span aria-hidden="true">{on ? "✓ " : ""}</span>
      {children}
    </button>
  );
}

export function Check({
  checked,
  onChange,
  children,
  disabled = false,
}: {
  checked: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
  disabled?: boolean;
}) {
  return (
    <label className="flex items-baseline gap-2 py-0.5">
      <input
        type="checkbox"
        checked={checked}
        disabled={disabled}
        onChange={(e) => onChange(e.target.checked)}
        className="accent-by-rule"
      />
      <span>{children}</span>
    </label>
  );
}
