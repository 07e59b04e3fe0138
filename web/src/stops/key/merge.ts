import { same } from "../../parts/same";
import type { Definition, Item } from "./definition";

/** What a colleague changed meanwhile, and where both changed the same item. */
export type Meanwhile = { by: string; changed: string[]; clashes: { id: string; theirs: Item | null }[] };

/**
 * Two people's changes to one key brought together, item by item. Where both changed the same item, mine stays on the
 * page and theirs is shown beside it; nothing is lost either way.
 */
export function merge(
  base: Definition,
  mine: Definition,
  theirs: Definition,
  by: string,
): { merged: Definition; meanwhile: Meanwhile } {
  const find = (d: Definition, id: string) => d.items.find((i) => i.id === id);
  const meanwhile: Meanwhile = { by, changed: [], clashes: [] };
  const ids = [...theirs.items.map((i) => i.id), ...mine.items.map((i) => i.id)];
  const items: Item[] = [];
  for (const id of new Set(ids)) {
    const [was, own, other] = [find(base, id), find(mine, id), find(theirs, id)];
    const iChanged = !same(was, own);
    const theyChanged = !same(was, other);
    if (theyChanged && !same(own, other)) {
      iChanged ? meanwhile.clashes.push({ id, theirs: other ?? null }) : meanwhile.changed.push(id);
    }
    const kept = iChanged ? own : other;
    kept && items.push(kept);
  }
  const mineInOrder = !same(order(base), order(mine)) && same(order(base), order(theirs));
  const rest = Object.fromEntries(
    [...new Set([...Object.keys(theirs), ...Object.keys(mine)])]
      .filter((field) => field !== "items")
      .map((field) => {
        const k = field as keyof Definition;
        return [field, same(base[k], mine[k]) ? theirs[k] : mine[k]];
      })
      .filter(([, value]) => value !== undefined),
  ) as Omit<Definition, "items">;
  return { merged: { ...rest, items: mineInOrder ? inOrderOf(mine, items) : items }, meanwhile };
}

const order = (d: Definition) => d.items.map((i) => i.id);

function inOrderOf(definition: Definition, items: Item[]): Item[] {
  const at = new Map(order(definition).map((id, i) => [id, i]));
  return [...items].sort((a, b) => (at.get(a.id) ?? items.length) - (at.get(b.id) ?? items.length));
}
