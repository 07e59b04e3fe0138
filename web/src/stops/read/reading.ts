import type { Schemas } from "../../api/client";
import { same } from "../../parts/same";

export type Change = Schemas["ReadingChange"];
type ReadAnswer = Schemas["ReadAnswer"];
type Remark = Schemas["Remark"];

/** What was chosen and said of an answer, as it is saved. */
export const of = (answer: ReadAnswer): Change => ({
  levels: answer.levels,
  points: answer.points,
  why: answer.why,
  comment: answer.comment,
  note: answer.note,
  hold: answer.held,
  saw: answer.saw,
  third: answer.second?.third ?? false,
  remarks: answer.remarks,
});

const words = (text: string | null | undefined): string => (text ?? "").trim();

/** Points by hand, or empty where there are none. */
export const byHand = (change: Change): string => words(change.points);

/** Whether two say the same, whichever mark they were made over. */
export function sameReading(a: Change, b: Change): boolean {
  return (
    same(a.levels, b.levels) &&
    byHand(a) === byHand(b) &&
    (byHand(a) === "" || words(a.why) === words(b.why)) &&
    a.comment === b.comment &&
    a.note === b.note &&
    a.hold === b.hold &&
    (a.third ?? false) === (b.third ?? false) &&
    same(a.remarks ?? [], b.remarks ?? [])
  );
}

/** Whether it can be saved: points over a rubric say why. */
export const mayBeSaved = (change: Change, question: Schemas["OpenQuestion"]): boolean =>
  question.criteria.length === 0 || byHand(change) === "" || words(change.why) !== "";

/** Whether it makes a mark: a level for each criterion, or points. */
export const isComplete = (change: Change, question: Schemas["OpenQuestion"]): boolean =>
  byHand(change) !== ""
    ? mayBeSaved(change, question)
    : question.criteria.length > 0 && question.criteria.every((c) => change.levels[c.id] !== undefined);

/** With a level chosen; what was held back is so no longer. */
export const withLevel = (change: Change, criterion: string, level: string): Change => ({
  ...change,
  levels: { ...change.levels, [criterion]: level },
  hold: false,
});

/** With a comment on words of the answer, by its place among the others. */
export const withRemark = (change: Change, remark: Remark): Change => ({
  ...change,
  remarks: [...(change.remarks ?? []), remark].sort((a, b) => a.from - b.from || a.to - b.to),
});

export const withoutRemark = (change: Change, remark: Remark): Change => ({
  ...change,
  remarks: (change.remarks ?? []).filter((r) => !same(r, remark)),
});
