import { diffWordsWithSpace } from "diff";

/** A stretch of a text: as in both, only in the earlier one, or only in the later one. */
export type Stretch = { text: string; only: "earlier" | "later" | null };

/** What an answer has otherwise than the one before, word by word. */
export function differences(earlier: string, later: string): Stretch[] {
  return diffWordsWithSpace(earlier, later).map((part) => ({
    text: part.value,
    only: part.removed ? "earlier" : part.added ? "later" : null,
  }));
}
