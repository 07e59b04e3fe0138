import { useState } from "react";
import { t } from "../text";

/** A line that becomes an entry with Enter. */
export function Another({ label, onAdd }: { label: string; onAdd: (text: string) => void }) {
  const [text, setText] = useState("");
  const add = () => {
    if (text.trim()) {
      onAdd(text.trim());
      setText("");
    }
  };
  return (
    <input
      aria-label={label}
      placeholder={t("Type one and press Enter")}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={add}
      onKeyDown={(e) => e.key === "Enter" && add()}
      className="w-full border-b border-rule bg-sheet py-1.5 font-script text-words"
    />
  );
}
