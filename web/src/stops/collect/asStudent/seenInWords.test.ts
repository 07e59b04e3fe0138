import { describe, expect, it } from "vitest";
import { seenInWords } from "./seenInWords";

describe("what students see afterwards, in words", () => {
  it("has a sentence for each moment at which something is seen, and none for others", () => {
    expect(
      seenInWords({
        score: "AT_HAND_IN",
        marks: "HANDED_BACK",
        answers: "AT_HAND_IN",
        notes: "HANDED_BACK",
        keys: "NEVER",
        standards: "HANDED_BACK",
        classFigures: "NEVER",
        from: null,
      }),
    ).toEqual([
      "At hand-in: score and band, own answers.",
      "When you hand back: how far on each standard, mark of each question, feedback and comments.",
      "Never: right answers, how the class did, from eight students on.",
    ]);
  });
});
