import type { Schemas } from "../../../api/client";

export type Question = Schemas["TypedQuestion"];
export type Cells = Record<string, string>;
/** What is not at the server yet, by student. */
export type Unsaved = Record<string, Cells>;

/** What stands for a question that was not answered. */
export const NOTHING = "-";

const A = "A".charCodeAt(0);

/** The letters that can be typed for a question; none where its answer is not a letter. */
export const lettersOf = (q: Question, points: boolean): string =>
  points || q.options > 26 ? "" : String.fromCharCode(...Array.from({ length: q.options }, (_, i) => A + i));

/** Whether numbers of points are typed for a question, not answers. */
export const isPoints = (q: Question, points: boolean): boolean => points || q.kind === "open";

/**
 * What a cell holds after something was typed into it, and whether that fills it.
 *
 * @param typed the whole text of the field
 * @returns null where it cannot be typed there
 */
export function typedInto(
  q: Question,
  points: boolean,
  before: string,
  typed: string,
): { cell: string; full: boolean } | null {
  const letters = lettersOf(q, points);
  if (letters === "") {
    return { cell: typed, full: false };
  }
  const last = typed.slice(-1).toUpperCase();
  if (typed.length < before.length) {
    return { cell: typed.toUpperCase(), full: false };
  }
  if (last === NOTHING || last === " ") {
    return { cell: NOTHING, full: true };
  }
  if (!letters.includes(last)) {
    return null;
  }
  if (!q.several) {
    return { cell: last, full: true };
  }
  const chosen = before === NOTHING ? "" : before;
  return { cell: chosen.includes(last) ? chosen.replace(last, "") : chosen + last, full: false };
}

/** Whether more points are typed than there are, or no number. */
export function isOutside(q: Question, points: boolean, cell: string): boolean {
  if (!isPoints(q, points) || cell === "" || cell === NOTHING) {
    return false;
  }
  const n = Number(cell.replace(",", "."));
  return Number.isNaN(n) || Math.abs(n) > Number(q.points);
}

/** The cells that stand empty before the last one that is typed: nobody knows whether they were looked at. */
export function gapsIn(questions: Question[], cells: Cells): number {
  const last = questions.reduce((at, q, i) => (cells[q.item] ? i : at), -1);
  return last < 0 ? 0 : questions.filter((q) => !cells[q.item]).length;
}

/** What is typed here and there; of one cell what is typed there. */
export function together(here: Unsaved, there: Unsaved): Unsaved {
  const all = { ...here };
  for (const [student, cells] of Object.entries(there)) {
    all[student] = { ...all[student], ...cells };
  }
  return all;
}

/** Whether an assessment's sheets are typed as points, by which name it is remembered on this device. */
export const pointsOnly = (assessment: string): string => `sheets-as-points:${assessment}`;

/** What still waits when these cells have arrived: what was typed since stays. */
export function without(unsaved: Unsaved, student: string, sent: Cells): Unsaved {
  const { [student]: row = {}, ...others } = unsaved;
  const left = Object.entries(row).filter(([item, cell]) => sent[item] !== cell);
  return left.length === 0 ? others : { ...others, [student]: Object.fromEntries(left) };
}

/** Where one goes on: the first cell that nothing is typed in, row by row. */
export function firstEmpty(questions: Question[], rows: Cells[]): { row: number; column: number } {
  const row = rows.findIndex((cells) => questions.some((q) => !cells[q.item]));
  return row < 0 ? { row: 0, column: 0 } : { row, column: questions.findIndex((q) => !rows[row]?.[q.item]) };
}
