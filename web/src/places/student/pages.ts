import type { Schemas } from "../../api/client";

type Item = Schemas["PaperItem"];

/**
 * One question a page, with the passage it belongs to and the reasons that are asked for beneath it; or a sheet of rows
 * for questions that are on paper.
 */
export type Page = { item: Item; stem: Item | undefined; reasons: Item[]; rows: Item[] };

/** Passages that items share stand with each of them; one that no item names is a page of its own. */
export function pagesOf(items: Item[]): Page[] {
  const stems = new Set(items.map((i) => i.stem));
  const there = (id: string | null) => items.find((i) => i.id === id);
  const pages: Page[] = [];
  for (const item of items) {
    if ((item.kind === "passage" && stems.has(item.id)) || there(item.reasonFor)) {
      continue;
    }
    const reasons = items.filter((i) => i.reasonFor === item.id);
    const last = pages.at(-1);
    if (isRow(item) && reasons.length === 0) {
      if (last && last.rows.length > 0 && last.item.part === item.part) {
        last.rows.push(item);
      } else {
        pages.push({ item, stem: undefined, reasons: [], rows: [item] });
      }
    } else {
      pages.push({ item, stem: there(item.stem), reasons, rows: [] });
    }
  }
  // A sheet of one row is a page like any other.
  return pages.map((page) => (page.rows.length === 1 ? { ...page, rows: [] } : page));
}

/** Whether nothing is asked here, since the question is on paper, and its answer is a letter, a number or a word. */
const isRow = (item: Item): boolean =>
  ["choice", "number", "text"].includes(item.kind) &&
  !item.prompt &&
  !item.body &&
  !item.picture &&
  !item.hint &&
  !item.stem;

/** The questions that a page asks. */
export const askedOn = (page: Page): Item[] =>
  page.rows.length > 0 ? page.rows : [page.item, ...page.reasons].filter((i) => i.number > 0);
