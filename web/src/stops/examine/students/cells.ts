import { locale } from "../../../text";
import type { Question, Student } from "./useStudents";

/** What a letter of a row of cells is drawn as. */
export const SIGN: Record<string, string> = {
  f: "●",
  p: "◐",
  n: "○",
  b: "–",
  s: "…",
  r: "…",
  x: "×",
  o: "",
};

/** The same in words. */
export const SAID: Record<string, string> = {
  f: "full points",
  p: "some points",
  n: "no points",
  b: "no answer",
  s: "to settle",
  r: "to read",
  x: "excused",
  o: "not asked",
};

/** The mark of a question, by its number. */
export const cellOf = (student: Student, number: number) => student.cells[number - 1] ?? "o";

const MISSED = new Set(["n", "b"]);

/** Who has no points for every one of these questions; what waits or was never asked was not missed. */
export function missedAll(students: Student[], numbers: number[]): Student[] {
  return numbers.length === 0 ? [] : students.filter((s) => numbers.every((n) => MISSED.has(cellOf(s, n))));
}

/** The numbers of the questions that a student has no points for. */
export function missedBy(student: Student, questions: Question[]): number[] {
  return questions.filter((q) => !q.dropped && MISSED.has(cellOf(student, q.number))).map((q) => q.number);
}

export type By = "total" | "name" | "fit";

/** The best total on top, or by name, or those on top whose answers fit least. */
export function ordered(students: Student[], by: By): Student[] {
  const name = new Intl.Collator(locale);
  const byName = (a: Student, b: Student) =>
    name.compare(a.family, b.family) || name.compare(a.given, b.given);
  const percent = (s: Student) => (s.percent === null ? -1 : Number(s.percent));
  return [...students].sort((a, b) => {
    switch (by) {
      case "name":
        return byName(a, b);
      case "fit":
        return b.doesNotFit.length - a.doesNotFit.length || percent(b) - percent(a) || byName(a, b);
      default:
        return percent(b) - percent(a) || byName(a, b);
    }
  });
}

/** The easiest question on the left; a dropped one, and one that nobody was asked, on the right. */
export function easiestFirst(questions: Question[]): Question[] {
  const value = (q: Question) => (q.dropped ? -2 : (q.difficulty.value ?? -1));
  return [...questions].sort((a, b) => value(b) - value(a) || a.number - b.number);
}
