import { useState } from "react";
import type { Schemas } from "../../api/client";
import type { KeyAct } from "../../parts/Keys";
import { t } from "../../text";

type Question = Schemas["OpenQuestion"];

/** The digits choose a level of the criterion that is looked at, and go to the next one. */
export function useDigits(question: Question, onChoose: (criterion: string, level: string) => void) {
  const [focus, setFocus] = useState(0);
  const choose = (digit: number) => {
    const criterion = question.criteria[focus];
    const level = criterion?.levels[digit];
    if (criterion && level) {
      onChoose(criterion.id, level.id);
      setFocus(Math.min(focus + 1, question.criteria.length - 1));
    }
  };
  const keys = Array.from(
    { length: 10 },
    (_, d): KeyAct => [
      String(d),
      d === 0 ? t("choose a level, go to the next criterion (0 to 9)") : "",
      () => choose(d),
    ],
  );
  return { focus, setFocus, keys };
}

/** Levels as the digits that choose them, in the rubric's order. */
export const digitsOf = (levels: Record<string, string>, question: Question): string[] =>
  question.criteria.map((c) => {
    const at = c.levels.findIndex((l) => l.id === levels[c.id]);
    return at < 0 ? "–" : String(at);
  });
