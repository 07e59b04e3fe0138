import { same } from "../../../parts/same";
import { freeId, type Item, isLetters } from "../definition";

/** The alphabets that a row's letters can be taken from. The second one is that of some printed tests' even rows. */
export const FIRST = "ABCDEFGH";
export const SECOND = "FGHJKLMN";

/** How the rows' letters are made up. */
export type Alphabet = { letters: number; alternate: boolean };

/** The letters of a row, by its number. */
export function lettersOf(alphabet: Alphabet, row: number): string[] {
  const from = alphabet.alternate && row % 2 === 0 ? SECOND : FIRST;
  return [...from.slice(0, alphabet.letters)];
}

const optionsOf = (letters: string[]) => letters.map((l) => ({ id: l.toLowerCase(), text: l }));
const TRUE_FALSE = [
  { id: "t", text: "T" },
  { id: "f", text: "F" },
];

/** What a row of the grid takes. */
export type RowKind = "letters" | "truth" | "number" | "open" | "other";

export function rowKind(item: Item): RowKind {
  if (item.kind === "choice") {
    return isTruth(item) ? "truth" : isLetters(item) ? "letters" : "other";
  }
  return item.kind === "number" || item.kind === "open" ? item.kind : "other";
}

export function isTruth(item: Item): boolean {
  return item.options?.map((o) => o.id).join() === "t,f";
}

/** A row made to take something else; its id, its standards and its points stay. */
export function madeTo(item: Item, kind: RowKind, letters: string[]): Item {
  const made = bare(item, kind, letters);
  const kept = (item.key as string[] | undefined)?.filter((k) => made.options?.some((o) => o.id === k)) ?? [];
  if (item.kind === "choice" && made.kind === "choice") {
    return { ...made, key: kept };
  }
  return item.kind === "number" && made.kind === "number" ? { ...made, accept: item.accept ?? [] } : made;
}

/** Rows that have a key now and would have none. */
export function losing(rows: Item[], apply: (item: Item) => Item): Item[] {
  return rows.filter((row) => isKeyed(row) && row.kind !== "open" && !hasItsKey(row, apply(row)));
}

const hasItsKey = (was: Item, now: Item): boolean =>
  was.kind === now.kind && same(was.key ?? was.accept, now.key ?? now.accept);

function bare(item: Item, kind: RowKind, letters: string[]): Item {
  const { id, points, standards, part, tags } = item;
  const kept = {
    id,
    points: points ?? "1",
    ...(standards ? { standards } : {}),
    ...(part ? { part } : {}),
    ...(tags ? { tags } : {}),
  };
  switch (kind) {
    case "truth":
      return { ...kept, kind: "choice", options: TRUE_FALSE, key: [] };
    case "number":
      return { ...kept, kind: "number", accept: [] };
    case "open":
      return { ...kept, kind: "open" };
    default:
      return { ...kept, kind: "choice", options: optionsOf(letters), key: [] };
  }
}

export function newRow(items: Item[], alphabet: Alphabet): Item {
  const row: Item = { id: freeId("q", items), kind: "choice", points: "1" };
  return madeTo(row, "letters", lettersOf(alphabet, rowsOf(items).length + 1));
}

/** The rows of the grid: everything that is answered. */
export const rowsOf = (items: Item[]) => items.filter((i) => i.kind !== "passage");

/** A letter typed into a row: its option becomes the key. Null when the row has no such letter. */
export function keyed(item: Item, letter: string): Item | null {
  const id = letter.toLowerCase();
  return item.kind === "choice" && item.options?.some((o) => o.id === id) ? { ...item, key: [id] } : null;
}

/** A digit, sign or decimal mark typed into a number's row. */
export function typed(item: Item, character: string): Item {
  const value = (item.accept?.[0]?.value ?? "") + character;
  return { ...item, accept: [{ ...item.accept?.[0], value }] };
}

export function erased(item: Item): Item {
  if (item.kind === "number") {
    const value = (item.accept?.[0]?.value ?? "").slice(0, -1);
    return { ...item, accept: value ? [{ ...item.accept?.[0], value }] : [] };
  }
  return item.kind === "choice" ? { ...item, key: [] } : item;
}

/** An open row read by hand from 0 to so many points, mastered from so many on. */
export function openRow(item: Item, points: string, mastery: string): Item {
  const { mastery: _m, rubric: _r, ...rest } = { ...item, kind: "open" as const };
  return mastery ? { ...rest, points, mastery } : { ...rest, points };
}

/** Whether a row's key is written. */
export function isKeyed(item: Item): boolean {
  switch (item.kind) {
    case "choice":
      return (item.key ?? []).length > 0;
    case "number":
    case "text":
      return (item.accept ?? []).length > 0;
    default:
      return true;
  }
}
