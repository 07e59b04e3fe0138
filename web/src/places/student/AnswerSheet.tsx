import { useRef } from "react";
import type { Schemas } from "../../api/client";
import { t } from "../../text";
import { afterTouch } from "./chosen";
import type { Said } from "./onDevice";

type Item = Schemas["PaperItem"];

/** A row for each question on paper: its letters, or a field. A typed letter answers and goes to the next row. */
export function AnswerSheet({
  rows,
  said,
  onSay,
}: {
  rows: Item[];
  said: Record<string, Said>;
  onSay: (id: string, answer: unknown) => void;
}) {
  const list = useRef<HTMLOListElement>(null);
  const onKey = (e: React.KeyboardEvent, item: Item, at: number) => {
    const option = item.options.find((o) => o.text.toLowerCase().startsWith(e.key.toLowerCase()));
    if (e.key.length !== 1 || e.ctrlKey || e.metaKey || !option) {
      return;
    }
    e.preventDefault();
    onSay(item.id, item.max > 1 ? afterTouch(chosenOf(said[item.id]), option.id, item.max) : [option.id]);
    if (item.max <= 1) {
      list.current?.children[at + 1]?.querySelector<HTMLElement>("input")?.focus();
    }
  };
  return (
    <>
      <p className="text-small text-soft">
        {t("The questions are on your printed paper. Answer each one in its row.")}
      </p>
      <ol ref={list} className="mt-2">
        {rows.map((item, at) => (
          <li key={item.id} className="border-b border-rule">
            {item.kind === "choice" ? (
              <fieldset className="flex flex-wrap items-center gap-x-1" onKeyDown={(e) => onKey(e, item, at)}>
                <legend className="sr-only">{t("Question {{n}}", { n: item.number })}</legend>
                <Place item={item} />
                {item.options.map((o, i) => (
                  <Letter
                    key={o.id}
                    item={item}
                    id={o.id}
                    text={o.text || String.fromCharCode(65 + i)}
                    chosen={chosenOf(said[item.id])}
                    onChosen={(chosen) => onSay(item.id, chosen)}
                  />
                ))}
              </fieldset>
            ) : (
              <label className="flex min-h-12 items-center">
                <Place item={item} />
                <span className="sr-only">{t("Question {{n}}", { n: item.number })}</span>
                <input
                  value={typeof said[item.id]?.answer === "string" ? String(said[item.id]?.answer) : ""}
                  inputMode={item.kind === "number" && !item.withUnit ? "decimal" : "text"}
                  autoComplete="off"
                  spellCheck={false}
                  className="min-w-0 flex-1 rounded-corner border border-rule-strong bg-sheet px-2 py-1 font-script text-words"
                  onChange={(e) => onSay(item.id, e.target.value)}
                />
              </label>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}

function Place({ item }: { item: Item }) {
  return (
    <span aria-hidden="true" className="w-10 shrink-0 font-semibold">
      {item.number}
    </span>
  );
}

/** A letter that is chosen with a touch and let go with another. */
function Letter({
  item,
  id,
  text,
  chosen,
  onChosen,
}: {
  item: Item;
  id: string;
  text: string;
  chosen: string[];
  onChosen: (chosen: string[]) => void;
}) {
  const on = chosen.includes(id);
  const several = item.max > 1;
  return (
    <label className="flex min-h-12 cursor-pointer items-center justify-center px-1">
      <input
        type={several ? "checkbox" : "radio"}
        name={item.id}
        className="peer sr-only"
        checked={on}
        onClick={() => on && !several && onChosen([])}
        onChange={() => onChosen(afterTouch(chosen, id, item.max))}
      />
      <span
        className={`flex h-10 min-w-10 items-center justify-center rounded-corner border px-2 font-semibold peer-focus-visible:outline-2 peer-focus-visible:outline-offset-2 ${on ? "border-ink bg-ink text-sheet" : "border-rule-strong bg-sheet"}`}
      >
        {text}
      </span>
    </label>
  );
}

const chosenOf = (said: Said | undefined): string[] => (Array.isArray(said?.answer) ? said.answer : []);
