import { type ReactNode, useState } from "react";
import { TextButton } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Field } from "../../parts/Field";
import { paragraphs, unescaped } from "../../parts/rich/plain";
import { RichField } from "../../parts/rich/RichField";
import { t } from "../../text";
import { type Feedback, type Item, put, without } from "./definition";
import type { KeyProps } from "./ItemEditor";

/** What stands beside the key: words for whoever answered, a hint, tags, what is expected, and ties to other items. */
export function Beside({ item, items, onChange }: KeyProps & { items: Item[] }) {
  const passages = items.filter((i) => i.kind === "passage" && i.id !== item.id);
  const choices = items.filter((i) => i.kind === "choice");
  const has = [item.feedback, item.hint, item.tags, item.difficulty, item.minutes, item.stem, item.reasonFor];
  const [open, setOpen] = useState(false);
  const shown = open || has.some((x) => x !== undefined);
  if (!shown) {
    return (
      <TextButton className="mt-5" onClick={() => setOpen(true)}>
        {t("Add feedback, a hint, tags, a passage, time or expected mean…")}
      </TextButton>
    );
  }
  return (
    <section className="mt-6 border-t border-rule pt-4" aria-label={t("Beside the key")}>
      {item.kind !== "passage" && (
        <>
          <FeedbackFields item={item} onChange={onChange} />
          <Field
            label={t("Hint, shown when a student asks for it")}
            value={item.hint ?? ""}
            className="mb-3"
            onChange={(e) => onChange(put(item, "hint", e.target.value))}
          />
          <div className="mb-3 flex flex-wrap gap-4">
            {passages.length > 0 && (
              <Choose
                label={t("Reading passage")}
                value={item.stem ?? ""}
                options={[["", t("none")], ...passages.map((p): [string, string] => [p.id, opening(p)])]}
                onChange={(stem) => onChange(put(item, "stem", stem))}
              />
            )}
            {item.kind === "open" && choices.length > 0 && (
              <Choose
                label={t("Asks for the reason behind")}
                value={item.reasonFor ?? ""}
                options={[["", t("nothing")], ...choices.map((c): [string, string] => [c.id, opening(c)])]}
                onChange={(choice) => onChange(put(item, "reasonFor", choice))}
              />
            )}
          </div>
        </>
      )}
      <div className="flex flex-wrap gap-4">
        <Field
          label={t("Tags, separated by commas")}
          value={(item.tags ?? []).join(", ")}
          className="min-w-60 flex-1"
          onChange={(e) => onChange(put(item, "tags", tags(e.target.value)))}
        />
        {item.kind !== "passage" && (
          <Field
            label={t("Expected mean, 0 to 1")}
            value={item.difficulty ?? ""}
            inputMode="decimal"
            className="w-40"
            onChange={(e) => onChange(put(item, "difficulty", e.target.value))}
          />
        )}
        <Field
          label={t("Expected minutes")}
          value={item.minutes ?? ""}
          inputMode="decimal"
          className="w-24"
          onChange={(e) => onChange(put(item, "minutes", e.target.value))}
        />
      </div>
    </section>
  );
}

/** What is typed between commas; the last one may still be growing. */
const tags = (typed: string) => typed.split(",").map((tag, i) => (i > 0 ? tag.trimStart() : tag));

function opening(item: Item): string {
  const words = item.prompt?.trim() || item.id;
  return words.length > 40 ? `${words.slice(0, 40)}…` : words;
}

function FeedbackFields({ item, onChange }: KeyProps) {
  const set = (which: keyof Feedback, html: string | undefined) => {
    const feedback = put(item.feedback ?? {}, which, html);
    onChange(Object.keys(feedback).length === 0 ? without(item, "feedback") : { ...item, feedback });
  };
  const field = (which: keyof Feedback, label: ReactNode) => (
    <FeedbackField
      key={which}
      label={String(label)}
      html={item.feedback?.[which]}
      onChange={(h) => set(which, h)}
    />
  );
  return (
    <div className="mb-3 grid gap-3 md:grid-cols-3">
      {field("right", t("Feedback when right"))}
      {field("partial", t("Feedback when partly right"))}
      {field("wrong", t("Feedback when wrong"))}
    </div>
  );
}

const PLAIN = /^<p>([^<]*)<\/p>$/;

/** Feedback is formatted text throughout; a plain line is a paragraph of it and is edited as plain. */
function FeedbackField({
  label,
  html,
  onChange,
}: {
  label: string;
  html: string | undefined;
  onChange: (html: string | undefined) => void;
}) {
  const plain = html === undefined ? "" : PLAIN.exec(html)?.[1];
  const text = plain === undefined ? undefined : unescaped(plain);
  return (
    <RichField
      label={label}
      rows={2}
      value={{ text: text ?? "", html: text === undefined ? html : undefined }}
      onChange={({ text: said, html: formatted }) =>
        onChange(formatted ?? (said.trim() === "" ? undefined : paragraphs(said.replace(/\n/g, " "))))
      }
    />
  );
}
