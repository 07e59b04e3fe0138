import type { ItemLine } from "./useExamine";

/** By what the table of questions can be sorted. */
export type By = "number" | "mean" | "rest" | "blank" | "flags";

const VALUE: Record<By, (i: ItemLine) => number | null> = {
  number: (i) => i.number,
  mean: (i) => i.measures.difficulty.value,
  rest: (i) => i.measures.itemRest.value,
  blank: (i) => i.measures.blank.value,
  flags: (i) => i.flags.length,
};

/** What is worst stands first: low means and correlations, many blanks, many flags. What has no figure stands last. */
export function sorted(items: ItemLine[], by: By): ItemLine[] {
  const down = by === "blank" || by === "flags";
  return [...items].sort((a, b) => {
    const [x, y] = [VALUE[by](a), VALUE[by](b)];
    if (x === null || y === null) {
      return (x === null ? 1 : 0) - (y === null ? 1 : 0) || a.number - b.number;
    }
    return (down ? y - x : x - y) || a.number - b.number;
  });
}
