import type { ItemLine } from "../figures/useExamine";
import type { Remedy } from "./useRemedy";

type Way = { what: Remedy["what"]; words: string };

const CHOICE: Way[] = [
  { what: "ACCEPT_ALSO", words: "Accept another option as well" },
  { what: "CHANGE_KEY", words: "Make another option right instead" },
];

const ANY: Way[] = [
  { what: "DROP", words: "Drop it for everyone" },
  { what: "CREDIT_ALL", words: "Full points for everyone" },
  { what: "CREDIT_ANSWERED", words: "Full points for everyone who answered" },
  { what: "BONUS", words: "Count it as a bonus" },
  { what: "POINTS", words: "Change its points" },
];

const BACK: Way = { what: "AS_USUAL", words: "Count it by its points again" };

/** What can be done about a question, in the order of the keys 1, 2, 3. */
export function waysFor(item: ItemLine): Way[] {
  const choice = item.measures.options.some((o) => !o.keyed) ? CHOICE : [];
  const any = ANY.filter((way) => way.what !== item.adjusted);
  return [...choice, ...any, ...(item.adjusted === null ? [] : [BACK])];
}

export const withOption = (what: Remedy["what"]) => what === "ACCEPT_ALSO" || what === "CHANGE_KEY";

/** The option outside the key that the upper third chose most: the one that may be right. */
export function likeliest(item: ItemLine): string | null {
  const outside = item.measures.options.filter((o) => !o.keyed);
  return (
    [...outside].sort(
      (a, b) =>
        (b.upper.value ?? 0) - (a.upper.value ?? 0) ||
        (b.optionRest.value ?? -1) - (a.optionRest.value ?? -1),
    )[0]?.option ?? null
  );
}
