import type { Schemas } from "../../../api/client";
import { digitsOf } from "../digits";
import { type Change, of } from "../reading";

type Question = Schemas["OpenQuestion"];
type ReadAnswer = Schemas["ReadAnswer"];

/** What stands in a cell: a digit for each level, or the points; empty where nothing is chosen. */
export function typedOf(answer: ReadAnswer, question: Question): string {
  if (question.criteria.length === 0 || (answer.points ?? "") !== "") {
    return answer.points ?? "";
  }
  const digits = digitsOf(answer.levels, question);
  return digits.every((d) => d === "–") ? "" : digits.join("");
}

/** The reading that was typed; null where it is none. What is said of the answer stays as it is. */
export function typedReading(typed: string, answer: ReadAnswer, question: Question): Change | null {
  const text = typed.replace(/\s/g, "");
  if (question.criteria.length === 0) {
    return /^\d+([.,/]\d+)?$/.test(text)
      ? { ...of(answer), points: text.replace(",", "."), hold: false }
      : null;
  }
  if (!/^\d+$/.test(text) || text.length !== question.criteria.length) {
    return null;
  }
  const chosen = question.criteria.map((c, i) => [c.id, c.levels[Number(text[i])]?.id] as const);
  return chosen.some(([, level]) => level === undefined)
    ? null
    : {
        ...of(answer),
        levels: Object.fromEntries(chosen) as Record<string, string>,
        points: null,
        why: "",
        hold: false,
      };
}

/** What a cell takes, in words. */
export const highest = (question: Question): string =>
  question.criteria.map((c) => String(c.levels.length - 1)).join("");
