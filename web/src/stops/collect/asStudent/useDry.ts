import { useState } from "react";
import type { Schemas } from "../../../api/client";
import type { useSittingClock } from "../../../places/student/clock/useSittingClock";
import type { Said } from "../../../places/student/onDevice";
import type { Practice } from "../../../places/student/practice/usePractice";
import type { useWhatISaid } from "../../../places/student/useWhatISaid";
import { useServerNow } from "../monitor/useServerNow";

type Paper = Schemas["Paper"];

/** What was tried, by item. */
export type Answers = Record<string, unknown>;

export const answersOf = (said: Record<string, Said>): Answers =>
  Object.fromEntries(
    Object.entries(said)
      .map(([id, { answer }]) => [id, answer])
      .filter(([, answer]) => answer !== null),
  );

/** What is typed while a teacher looks as a student: it stays on the page, and goes nowhere. */
export function useDryAnswers(paper: Paper): ReturnType<typeof useWhatISaid> {
  const [said, setSaid] = useState<Record<string, Said>>(() =>
    Object.fromEntries(paper.items.map((item) => [item.id, { answer: null, flagged: false }])),
  );
  const say = (id: string, next: Said) => setSaid((before) => ({ ...before, [id]: next }));
  return {
    saver: {
      unsent: 0,
      savedAt: undefined,
      offline: false,
      refused: undefined,
      late: false,
      kept: {},
      others: {},
      chosen: () => undefined,
      say,
      flush: async () => true,
    },
    said,
    say,
    choose: () => undefined,
  };
}

/** The time of a sitting that is only looked at: it runs, and its end changes nothing. */
export function useDryClock(paper: Paper, paperAt: number): ReturnType<typeof useSittingClock> {
  const now = useServerNow(paper.now, paperAt);
  const { lateFrom } = paper.rules;
  return {
    left: (Date.parse(paper.deadline) - now) / 1000,
    isOver: false,
    moreUntil: null,
    paused: false,
    aside: false,
    asideByStudent: false,
    goesOnIn: null,
    lines: [],
    rules: { ...paper.rules, paused: false, practice: "NONE" },
    lateFrom,
    isLate: false,
  };
}

/** Nothing is looked at: there is no answer that the server has. */
export const NO_PRACTICE: Practice = {
  isOn: false,
  of: () => undefined,
  isPassed: () => true,
  isFixed: () => false,
  look: () => undefined,
  isLooking: () => false,
  error: () => null,
};
