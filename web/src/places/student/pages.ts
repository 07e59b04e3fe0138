import type { Schemas } from "../../api/client";

type Item = Schemas["PaperItem"];

/** One question a page, with the passage it belongs to and the reasons that are asked for beneath it. */
export type Page = { item: Item; stem: Item | undefined; reasons: Item[] };

/** Passages that items share stand with each of them; one that no item names is a page of its own. */
export function pagesOf(items: Item[]): Page[] {
  const stems = new Set(items.map((i) => i.stem));
  const there = (id: string | null) => items.find((i) => i.id === id);
  return items
    .filter((i) => !(i.kind === "passage" && stems.has(i.id)) && !there(i.reasonFor))
    .map((item) => ({
      item,
      stem: there(item.stem),
      reasons: items.filter((i) => i.reasonFor === item.id),
    }));
}
