import { expect, test } from "vitest";
import { easiestFirst, missedAll, missedBy, ordered } from "./cells";
import type { Question, Student } from "./useStudents";

const student = (family: string, percent: string | null, cells: string, odd = 0) =>
  ({ family, given: "X", percent, cells, doesNotFit: Array.from({ length: odd }) }) as unknown as Student;
const question = (number: number, mean: number | null, dropped = false) =>
  ({ number, dropped, difficulty: { value: mean } }) as unknown as Question;

const students = [
  student("Sande", "40.0", "fnb", 1),
  student("Ambler", "90.0", "ffs"),
  student("Marrin", null, "bbr"),
];
const families = (all: Student[]) => all.map((s) => s.family);

test("whoever has no points for all of the chosen questions missed them; what waits is not missed", () => {
  expect(families(missedAll(students, [2]))).toEqual(["Sande", "Marrin"]);
  expect(families(missedAll(students, [2, 3]))).toEqual(["Sande"]);
  expect(missedAll(students, [])).toEqual([]);
});

test("a dropped question is missed by nobody", () => {
  const questions = [question(1, 0.5), question(2, 0.5, true), question(3, 0.5)];
  expect(missedBy(students[0] as Student, questions)).toEqual([3]);
});

test("rows stand by total, by name, or with those on top that fit least", () => {
  expect(families(ordered(students, "total"))).toEqual(["Ambler", "Sande", "Marrin"]);
  expect(families(ordered(students, "name"))).toEqual(["Ambler", "Marrin", "Sande"]);
  expect(families(ordered(students, "fit"))[0]).toBe("Sande");
});

test("the easiest question stands on the left, the dropped one on the right", () => {
  const all = [question(1, 0.2), question(2, 0.9, true), question(3, 0.8), question(4, null)];
  expect(easiestFirst(all).map((q) => q.number)).toEqual([3, 1, 4, 2]);
});
