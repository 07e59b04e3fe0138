import type { Schemas } from "../../../api/client";

type Question = Schemas["OpenQuestion"];
type Levels = Record<string, string>;

/** On how many criteria the same level was chosen as agreed, and of how many. */
export function sameLevels(
  own: Levels[],
  agreed: Levels[],
  question: Question,
): { same: number; of: number } {
  let same = 0;
  let of = 0;
  own.forEach((levels, i) => {
    for (const c of question.criteria) {
      of++;
      same += levels[c.id] !== undefined && levels[c.id] === agreed[i]?.[c.id] ? 1 : 0;
    }
  });
  return { same, of };
}
