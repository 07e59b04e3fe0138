import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Loaded } from "../../../parts/States";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { type Item, type Rubric, rubricInShort } from "../definition";

/** Kept rubrics, and those of this paper's other questions; the chosen one is copied into the item. */
export function TakeRubric({
  item,
  items,
  onTake,
  onClose,
}: {
  item: Item;
  items: Item[];
  onTake: (item: Item) => void;
  onClose: () => void;
}) {
  const [words, setWords] = useState("");
  const query = useQuery({ queryKey: ["rubrics"], queryFn: () => ok(api.GET("/api/rubrics")) });
  const others = items.filter((i) => i.rubric && i.id !== item.id);
  const fits = (text: string) => text.toLowerCase().includes(words.trim().toLowerCase());
  return (
    <section
      aria-label={t("Existing rubrics")}
      className="mb-3 border-l-3 border-by-person bg-by-person-wash px-3 py-2"
      onKeyDown={(e) => e.key === "Escape" && onClose()}
    >
      <Field
        label={t("Find a rubric by its title or its words")}
        value={words}
        autoFocus
        className="mb-2"
        onChange={(e) => setWords(e.target.value)}
      />
      <Loaded query={query}>
        {(kept) => (
          <ul className="max-h-72 overflow-y-auto">
            {kept
              .filter((r) => fits(r.title + JSON.stringify(r.definition)))
              .map((r) => (
                <Line
                  key={r.id}
                  title={r.title}
                  detail={t("{{author}}, version {{n}}, up to {{max}}", {
                    author: r.author,
                    n: r.version,
                    max: points(r.maximum),
                  })}
                  rubric={r.definition as Rubric}
                  onTake={(rubric) =>
                    onTake({ ...item, rubric, rubricKept: { id: r.id, version: r.version } })
                  }
                />
              ))}
            {others
              .filter((o) => fits((o.prompt ?? "") + JSON.stringify(o.rubric)))
              .map((o) => (
                <Line
                  key={o.id}
                  title={o.prompt || o.id}
                  detail={t("from a question in this assessment")}
                  rubric={o.rubric as Rubric}
                  onTake={(rubric) =>
                    onTake({ ...item, rubric, ...(o.rubricKept ? { rubricKept: o.rubricKept } : {}) })
                  }
                />
              ))}
            {kept.length + others.length === 0 && (
              <li className="text-soft">
                {t("No rubric is kept yet. Write one here and keep it, or begin one in the bank.")}
              </li>
            )}
          </ul>
        )}
      </Loaded>
      <TextButton className="mt-1 text-small underline" onClick={onClose}>
        {t("not now")}
      </TextButton>
    </section>
  );
}

function Line({
  title,
  detail,
  rubric,
  onTake,
}: {
  title: string;
  detail: string;
  rubric: Rubric;
  onTake: (rubric: Rubric) => void;
}) {
  const names = rubric.criteria.map((c) => c.title).filter(Boolean);
  return (
    <li className="border-b border-rule py-1">
      <button type="button" className="w-full text-left" onClick={() => onTake(structuredClone(rubric))}>
        <span className="font-script">{title}</span>{" "}
        <span className="text-small text-soft">
          {rubricInShort(rubric)}
          {names.length > 0 && `: ${names.join(", ")}`} · {detail}
        </span>
      </button>
    </li>
  );
}
