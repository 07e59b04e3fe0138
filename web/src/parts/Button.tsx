import type { ButtonHTMLAttributes, ComponentProps, ReactNode } from "react";
import { Kbd } from "./Keys";

type Look = "strong" | "plain" | "quiet";

const LOOKS: Record<Look, string> = {
  strong: "border-ink bg-ink text-sheet",
  plain: "border-ink bg-sheet text-ink",
  quiet: "border-rule bg-sheet text-ink",
};

export function Button({
  look = "plain",
  hotkey,
  children,
  className = "",
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look; hotkey?: string; children: ReactNode }) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-8 items-center gap-2 rounded-corner border px-3 py-1 font-semibold ${LOOKS[look]} ${className}`}
      {...rest}
    >
      {children}
      {hotkey && <Kbd inverse={look === "strong"}>{hotkey}</Kbd>}
    </button>
  );
}

/** A verb inside a sentence, underlined; a soft one at the end of a row is not. */
export function TextButton({ className = "", ...rest }: ComponentProps<"button">) {
  const line = className.includes("text-soft") ? "" : "underline underline-offset-2";
  return <button type="button" className={`${line} ${className}`} {...rest} />;
}
