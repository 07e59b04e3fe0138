import type { Schemas } from "../../api/client";
import type { DecidedGroup } from "./DecidedRows";

export type Decision = Schemas["Decision"];
export type Group = Schemas["DoubtGroup"];
export type Reach = Decision["reach"];

/** What is chosen about the groups: how much, how far, by which words. */
export type Choice = {
  credit: string;
  reach: Reach;
  /** The words, the pattern or the number of slips of a wider reach; empty for what is proposed. */
  phrase: string;
  note: string;
  /** Wanted although it contradicts what was decided. */
  despite: boolean;
};

export const PLAIN: Choice = { credit: "1", reach: "EXACT", phrase: "", note: "", despite: false };

/** A wider rule: it reaches answers that nobody chose. */
export const isWide = (reach: Reach): boolean =>
  reach === "HOLDS" || reach === "PATTERN" || reach === "SLIPS";

/** What the key cannot learn is decided for those who gave it. */
export const reachOf = (groups: Group[], reach: Reach): Reach =>
  groups.some((g) => g.byHand) ? "THESE" : reach;

/** The decision about some groups; none where there are none. */
export function decisionOf(
  item: string,
  groups: Group[],
  choice: Choice,
  section: string | null,
): Decision | undefined {
  const [first, ...more] = groups;
  if (!first) {
    return undefined;
  }
  const reach = reachOf(groups, choice.reach);
  return {
    item,
    form: first.form,
    more: more.map((g) => ({ form: g.form, saw: g.saw })),
    credit: choice.credit,
    reach,
    phrase: isWide(reach) ? choice.phrase : null,
    note: choice.note || null,
    section: reach === "THESE" ? section : null,
    saw: first.saw,
    despite: choice.despite,
  };
}

/** A decided group as one to decide about. */
export const again = (g: DecidedGroup): Group => ({
  form: g.form,
  shown: g.shown,
  count: g.count,
  students: g.students,
  because: g.because,
  near: g.because,
  phrase: null,
  like: [],
  letters: [],
  given: null,
  rightIn: [],
  byHand: g.these,
  saw: g.saw,
});

/** The forms that were decided in more than one way. */
export function twoWays(decided: DecidedGroup[]): Set<string> {
  const first = new Map<string, string>();
  const found = new Set<string>();
  for (const g of decided) {
    const credit = first.get(g.form);
    if (credit === undefined) {
      first.set(g.form, g.credit);
    } else if (credit !== g.credit) {
      found.add(g.form);
    }
  }
  return found;
}
