import { useState } from "react";
import { Button } from "../../parts/Button";
import { t } from "../../text";
import { type Item, letterOf } from "./definition";

/** An answer as a student would give it; Enter keeps it among the tried ones. */
export function TryAnswer({
  item,
  onTry,
  onKeep,
}: {
  item: Item;
  onTry: (answer: unknown) => void;
  onKeep: (answer: unknown) => void;
}) {
  const [text, setText] = useState("");
  const [chosen, setChosen] = useState<string[]>([]);
  if (item.kind === "choice") {
    const toggle = (id: string) => {
      const next = chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id];
      setChosen(next);
      onTry(next);
    };
    return (
      <div className="flex flex-wrap items-center gap-2">
        {(item.options ?? []).map((o) => (
          <button
            key={o.id}
            type="button"
            aria-pressed={chosen.includes(o.id)}
            aria-label={t("try {{letter}}", { letter: letterOf(item, o.id) })}
            onClick={() => toggle(o.id)}
            className={`size-8 rounded-corner border font-semibold ${chosen.includes(o.id) ? "border-ink bg-ink text-sheet" : "border-rule-strong bg-sheet"}`}
          >
            {letterOf(item, o.id)}
          </button>
        ))}
        <Button
          look="quiet"
          disabled={chosen.length === 0}
          onClick={() => {
            onKeep(chosen);
            setChosen([]);
          }}
        >
          {t("keep")}
        </Button>
      </div>
    );
  }
  return (
    <input
      aria-label={t("an answer to try")}
      value={text}
      placeholder={t("as a student would write it")}
      className="w-full rounded-corner border border-ink bg-sheet px-3 py-2 font-script text-words"
      onChange={(e) => {
        setText(e.target.value);
        onTry(e.target.value);
      }}
      onKeyDown={(e) => {
        if (e.key === "Enter" && text.trim()) {
          onKeep(text);
          setText("");
        }
      }}
    />
  );
}
