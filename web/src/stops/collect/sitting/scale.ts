import { t } from "../../../text";

/** A stretch of time that is drawn: whose it is, from when to when. */
export type Stretch = { key: string; words: string; from: number; to: number; own: boolean; late: boolean };

/** Where stretches lie on a line from 0 to 1, and where its ticks stand. */
export function toScale(stretches: Stretch[]): {
  from: number;
  to: number;
  ticks: number[];
  place: (at: number) => number;
} {
  const from = Math.min(...stretches.map((s) => s.from));
  const to = Math.max(...stretches.map((s) => s.to), from + 60_000);
  const step = STEPS.find((s) => (to - from) / s <= MOST_TICKS) ?? (STEPS.at(-1) as number);
  const ticks: number[] = [];
  for (let at = Math.ceil(from / step) * step; at <= to; at += step) {
    ticks.push(at);
  }
  return { from, to, ticks, place: (at) => (at - from) / (to - from) };
}

const MOST_TICKS = 5;
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const STEPS = [
  5 * MINUTE,
  15 * MINUTE,
  30 * MINUTE,
  HOUR,
  2 * HOUR,
  6 * HOUR,
  DAY,
  2 * DAY,
  7 * DAY,
  28 * DAY,
];

/** How much more time one has, as people say it. */
export function moreInWords(percent: number, more: number): string {
  const times = percent === 150 ? t("half as long again") : percent === 200 ? t("twice as long") : "";
  const factor = percent === 100 ? "" : times || t("{{n}}% of the time", { n: percent });
  const minutes = more > 0 ? t("{{count}} minutes more", { count: more }) : "";
  return [factor, minutes].filter((words) => words !== "").join(", ");
}
