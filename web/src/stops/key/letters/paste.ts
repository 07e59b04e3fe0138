import type { Item } from "../definition";
import { keyed, rowKind, typed } from "./grid";

/**
 * The answers in a pasted text, in order: `1. B 2. D`, `1) b`, a column of letters, `BDACA`, with numbers and words
 * such as true and false among them. Numbers before a full stop or bracket at the begin of an answer are the rows' own.
 */
export function answersIn(text: string): string[] {
  const plain = text.replace(/(^|[\s,;])\d{1,3}\s*[.):]\s*(?=\S)/g, "$1 ").trim();
  const words = plain.split(/[\s,;|]+/).filter(Boolean);
  return words.flatMap((word) => {
    if (/^(true|false)$/i.test(word)) {
      return [word[0]?.toUpperCase() ?? ""];
    }
    return /^[A-Za-z]{2,}$/.test(word) && word.toUpperCase() === word ? [...word] : [word.toUpperCase()];
  });
}

/** The rows with these answers from a place on; what fits no row is told by its place. */
export function pasted(rows: Item[], at: number, answers: string[]): { rows: Item[]; unfit: string[] } {
  const next = [...rows];
  const unfit: string[] = [];
  answers.forEach((answer, i) => {
    const row = next[at + i];
    const fits = row && (rowKind(row) === "number" ? number(row, answer) : keyed(row, answer));
    if (fits) {
      next[at + i] = fits;
    } else {
      unfit.push(`${at + i + 1}: ${answer}`);
    }
  });
  return { rows: next, unfit };
}

function number(row: Item, answer: string): Item | null {
  return /^[+-]?[\d.,/]+$/.test(answer) ? typed({ ...row, accept: [] }, answer) : null;
}
