import type { Schemas } from "../../../api/client";
import { t } from "../../../text";
import { type Item, keyInShort, kindName, letterOf } from "../definition";
import { placeInWords } from "../place";

const MOST = 400;

/** The questions that were found; those with something wrong on top. */
export function FoundQuestions({ items }: { items: Schemas["FoundQuestion"][] }) {
  const sorted = [...items].sort((a, b) => Number(b.faults.length > 0) - Number(a.faults.length > 0));
  return (
    <>
      <ul className="mt-4">
        {sorted.slice(0, MOST).map((q) => (
          <FoundQuestion key={q.line} line={q.line} item={q.item as Item} faults={q.faults} />
        ))}
      </ul>
      {sorted.length > MOST && (
        <p className="mt-2 text-small text-soft">
          {t("{{count}} more are not listed here; they are read all the same.", {
            count: sorted.length - MOST,
          })}
        </p>
      )}
    </>
  );
}

function FoundQuestion({
  line,
  item,
  faults,
}: {
  line: number;
  item: Item;
  faults: Schemas["FoundQuestion"]["faults"];
}) {
  const options = item.options ?? [];
  const key = (item.key ?? []) as string[];
  return (
    <li className="border-b border-rule py-1.5">
      <span className="mr-2 text-small text-soft">{t("row {{n}}", { n: line })}</span>
      <span className="font-script">{item.prompt}</span>{" "}
      <span className="text-small text-soft">
        {t(kindName(item))}
        {options.length === 0 && keyInShort(item) && (
          <>
            {" "}
            · <strong className="text-by-rule">{keyInShort(item)}</strong>
          </>
        )}
        {(item.standards ?? []).length > 0 && ` · ${item.standards?.map((s) => s.code).join(" ")}`}
      </span>
      {options.length > 0 && (
        <ul className="flex flex-wrap gap-x-4 text-small">
          {options.map((o) => (
            <li key={o.id} className={key.includes(o.id) ? "font-semibold text-by-rule" : "text-soft"}>
              {letterOf(item, o.id)} {o.text}
              {key.includes(o.id) && <span className="sr-only"> {t("(right)")}</span>}
            </li>
          ))}
        </ul>
      )}
      {faults.map((f) => (
        <p key={f.path + f.message} className="text-small font-semibold text-waiting">
          {placeInWords(f.path)}: {f.message}
        </p>
      ))}
    </li>
  );
}
