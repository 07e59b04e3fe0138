import type { Item } from "../definition";
import { type Alphabet, keyed, madeTo, newRow, rowKind, typed } from "./grid";
import { type Answer, readPasted } from "./pasted";

/** The longest key that is pasted at once. */
const MOST = 500;

/** What a pasted key would do: the rows as they would be, row by row what it says, and what does not fit. */
export type Pasting = {
  rows: Item[];
  says: { row: number; answer: string; replaces: boolean; fits: boolean }[];
  /** Rows that are named more than once, with different answers. */
  twice: number[];
};

/** The rows with a pasted key; where it has no numbers, from a place on. */
export function pasting(items: Item[], rows: Item[], at: number, text: string, alphabet: Alphabet): Pasting {
  const answers = placed(truths(readPasted(text)), at);
  const last = Math.max(0, ...answers.map((a) => a.row));
  const next = [...rows];
  while (next.length < last) {
    next.push(newRow([...items, ...next.slice(rows.length)], alphabet));
  }
  const says = answers.map(({ row, letters }) => {
    const was = next[row - 1];
    const fits = was ? withAnswer(was, letters) : null;
    if (fits) {
      next[row - 1] = fits;
    }
    const replaces =
      row <= rows.length && keyOf(rows[row - 1]) !== "" && keyOf(fits) !== keyOf(rows[row - 1]);
    return { row, answer: letters.join(" "), replaces: fits !== null && replaces, fits: fits !== null };
  });
  return { rows: next, says, twice: twice(answers) };
}

/** A key of nothing but T and F is one of true and false. */
function truths(answers: Answer[]): Answer[] {
  const all = answers.flatMap((a) => a.letters).filter(Boolean);
  return all.includes("T") && all.every((l) => l === "T" || l === "F")
    ? answers.map((a) => ({ ...a, letters: a.letters.map((l) => (l === "T" ? "TRUE" : "FALSE")) }))
    : answers;
}

type Placed = { row: number; letters: string[] };

function placed(answers: Answer[], at: number): Placed[] {
  return answers
    .map((a, i) => ({ row: a.row ?? at + 1 + i, letters: a.letters.filter(Boolean) }))
    .filter((a) => a.row >= 1 && a.row <= MOST && a.letters.length > 0)
    .sort((a, b) => a.row - b.row);
}

function twice(answers: Placed[]): number[] {
  const other = answers.filter((a, i) =>
    answers.some((b, j) => j < i && b.row === a.row && b.letters.join() !== a.letters.join()),
  );
  return [...new Set(other.map((a) => a.row))];
}

const keyOf = (item: Item | null | undefined): string =>
  item ? (item.kind === "number" ? (item.accept?.[0]?.value ?? "") : (item.key ?? []).join()) : "";

/** A row with this answer; null where it does not fit. A row of letters that gets true or false becomes one of these. */
function withAnswer(row: Item, letters: string[]): Item | null {
  const [first = "", ...more] = letters;
  if (rowKind(row) === "number") {
    return more.length === 0 && /^[+-]?[\d.,/]+$/.test(first) ? typed({ ...row, accept: [] }, first) : null;
  }
  if (/^(TRUE|FALSE)$/.test(first) && rowKind(row) !== "other") {
    return keyed(madeTo(row, "truth", []), first.slice(0, 1));
  }
  const one = keyed(row, first);
  if (!one || more.length === 0) {
    return one;
  }
  const ids = letters.map((l) => l.toLowerCase());
  const all = ids.every((id) => row.options?.some((o) => o.id === id)) && new Set(ids).size === ids.length;
  return all ? ({ ...row, key: ids, max: row.options?.length, rule: "net" } as Item) : null;
}
