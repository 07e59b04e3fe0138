import { describe, expect, it } from "vitest";
import { type Item, newCriterion } from "../definition";
import { type Bound, boundOf, levelsOf, masteryOf } from "./mastery";

const rubric = { criteria: [newCriterion([])] };
const item = (mastery?: string): Item => ({
  id: "q",
  kind: "open",
  rubric,
  ...(mastery === undefined ? {} : { mastery }),
});

describe("from where on an open answer counts as mastered", () => {
  it("is a level where it names one, and points where it does not", () => {
    expect(boundOf(item())).toEqual({ kind: "none" });
    expect(boundOf(item("2"))).toEqual({ kind: "level", id: "2" });
    expect(boundOf(item("2.5"))).toEqual({ kind: "points", points: "2.5" });
    expect(boundOf({ id: "q", kind: "open", mastery: "2" })).toEqual({ kind: "points", points: "2" });
  });

  it("stays what was meant, also where points read like a level", () => {
    const bounds: Bound[] = [
      { kind: "none" },
      { kind: "level", id: "1" },
      { kind: "points", points: "1" },
      { kind: "points", points: "3" },
      { kind: "points", points: "" },
    ];
    for (const bound of bounds) {
      expect(boundOf(item(masteryOf(rubric, bound)))).toEqual(bound);
    }
  });

  it("knows each level once, by what its first criterion says", () => {
    const two = { criteria: [newCriterion([]), { ...newCriterion([]), id: "c2" }] };
    expect(levelsOf(two).map((l) => l.id)).toEqual(["0", "1", "2"]);
  });
});
