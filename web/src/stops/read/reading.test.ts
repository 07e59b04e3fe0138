import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { type Change, isComplete, mayBeSaved, sameReading } from "./reading";

const chosen = (more: Partial<Change>): Change => ({
  levels: {},
  points: null,
  why: "",
  comment: "",
  note: "",
  hold: false,
  saw: "1",
  third: null,
  remarks: null,
  ...more,
});
const rubric = { criteria: [{ id: "c1" }, { id: "c2" }] } as unknown as Schemas["OpenQuestion"];
const points = { criteria: [] as unknown[] } as Schemas["OpenQuestion"];

describe("a reading", () => {
  it("is the same over another mark, and another with any level, word or point of its own", () => {
    expect(sameReading(chosen({ saw: "1" }), chosen({ saw: "2" }))).toBe(true);
    for (const more of [
      { levels: { c1: "0" } },
      { points: "2" },
      { comment: "Say why." },
      { note: "?" },
      { hold: true },
      { remarks: [{ from: 0, to: 4, text: "which?", brief: true }] },
    ]) {
      expect(sameReading(chosen({}), chosen(more)), JSON.stringify(more)).toBe(false);
    }
    expect(sameReading(chosen({ points: "2", why: "a" }), chosen({ points: "2", why: "b" }))).toBe(false);
    expect(sameReading(chosen({ points: "", why: "a" }), chosen({ points: null, why: "" }))).toBe(true);
  });

  it("makes a mark with a level for each criterion, or with points that say why", () => {
    expect(isComplete(chosen({ levels: { c1: "0" } }), rubric)).toBe(false);
    expect(isComplete(chosen({ levels: { c1: "0", c2: "1" } }), rubric)).toBe(true);
    expect(isComplete(chosen({ points: "3" }), rubric)).toBe(false);
    expect(isComplete(chosen({ points: "3", why: "in his drawing" }), rubric)).toBe(true);
    expect(isComplete(chosen({}), points)).toBe(false);
    expect(isComplete(chosen({ points: "3" }), points)).toBe(true);
  });

  it("is saved as far as it goes, but for points over a rubric that do not say why", () => {
    expect(mayBeSaved(chosen({ levels: { c1: "0" } }), rubric)).toBe(true);
    expect(mayBeSaved(chosen({ points: "3", why: " " }), rubric)).toBe(false);
    expect(mayBeSaved(chosen({ points: "3" }), points)).toBe(true);
  });
});
