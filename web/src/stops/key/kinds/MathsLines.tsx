import { useState } from "react";
import { TextButton } from "../../../parts/Button";
import { MathsField } from "../../../parts/MathsField";
import { t } from "../../../text";
import { type Item, linesOf, withLines } from "../definition";

/** Accepted lines of mathematics: each as it is typed and as it was read; another with Enter. */
export function MathsLines({
  item,
  title,
  label,
  another,
  onChange,
}: {
  item: Item;
  title: string;
  label: string;
  another: string;
  onChange: (item: Item) => void;
}) {
  const [text, setText] = useState("");
  const accept = linesOf(item);
  const set = (lines: string[]) => onChange(withLines(item, lines));
  const add = () => {
    if (text.trim()) {
      set([...accept, text.trim()]);
      setText("");
    }
  };
  return (
    <section aria-label={title}>
      <h3 className="mb-1 text-small font-semibold text-soft">{title}</h3>
      {accept.map((line, i) => (
        <div key={i} className="flex items-start gap-3">
          <MathsField
            label={label}
            value={line}
            variables={item.variables ?? []}
            className="flex-1"
            onChange={(changed) => set(accept.map((a, n) => (n === i ? changed : a)))}
          />
          <TextButton
            className="pt-2 text-small text-soft"
            onClick={() => set(accept.filter((_, n) => n !== i))}
          >
            {t("Remove")} <span className="sr-only">{t("entry {{n}}", { n: i + 1 })}</span>
          </TextButton>
        </div>
      ))}
      <MathsField
        label={another}
        value={text}
        variables={item.variables ?? []}
        placeholder={t("Type one and press Enter")}
        onChange={setText}
        onEnter={add}
        onLeave={add}
      />
    </section>
  );
}

/** The letters that stand for something; one field, separated by commas. */
export function Letters({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  return (
    <label className="flex items-center gap-2 text-small text-soft">
      {t("Variables")}
      <input
        value={(item.variables ?? []).join(", ")}
        className="w-28 rounded-corner border border-rule-strong bg-sheet px-2 py-1 font-script text-body text-ink"
        onChange={(e) => onChange({ ...item, variables: e.target.value.split(/[,\s]+/).filter(Boolean) })}
      />
    </label>
  );
}
