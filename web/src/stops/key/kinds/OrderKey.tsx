import { Another } from "../../../parts/Another";
import { TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { SortList } from "../../../parts/SortList";
import { t } from "../../../text";
import { freeId, type Item, type Named } from "../definition";
import type { KeyProps } from "../ItemEditor";

const RULES: [string, string][] = [
  ["exact", "all or nothing"],
  ["places", "Each step in its right place"],
  ["neighbours", "Each step followed by the right next one"],
  ["couples", "Each pair of steps in the right order"],
  ["longest", "The longest sequence in the right order"],
];

/** The steps in their right order; students see them mixed. */
export function OrderKey({ item, onChange }: KeyProps) {
  const tokens = inOrder(item);
  const set = (next: Named[]) => onChange({ ...item, tokens: next, key: next.map((n) => n.id) });
  return (
    <>
      <h3 className="text-small font-semibold text-soft">{t("The steps in the right order")}</h3>
      <SortList items={tokens} name={(n) => n.text} onOrder={set}>
        {(token, i) => (
          <>
            <span className="w-5 text-soft">{i + 1}</span>
            <input
              aria-label={t("step {{n}}", { n: i + 1 })}
              value={token.text}
              className="min-w-0 flex-1 bg-sheet font-script text-words"
              onChange={(e) =>
                set(tokens.map((o) => (o.id === token.id ? { ...o, text: e.target.value } : o)))
              }
            />
            <TextButton
              className="text-small text-soft"
              onClick={() => set(tokens.filter((o) => o.id !== token.id))}
            >
              {t("Remove")} <span className="sr-only">{token.text}</span>
            </TextButton>
          </>
        )}
      </SortList>
      <Another
        label={t("another step")}
        onAdd={(text) => set([...tokens, { id: freeId("s", tokens), text }])}
      />
      <Choose
        className="mt-3"
        label={t("Scoring rule")}
        value={item.rule ?? "exact"}
        options={RULES.map(([id, words]) => [id, t(words)])}
        onChange={(rule) => onChange({ ...item, rule })}
      />
    </>
  );
}

/** The steps as the key has them, and after them those that the key leaves out. */
function inOrder(item: Item): Named[] {
  const tokens = item.tokens ?? [];
  const keyed = (item.key ?? []).flatMap((id) => tokens.find((n) => n.id === id) ?? []);
  return [...keyed, ...tokens.filter((n) => !keyed.includes(n))];
}
