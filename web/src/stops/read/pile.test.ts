import { describe, expect, it } from "vitest";
import { ALL, isNarrowed, pileOf, placeIn, wayOf, withPile, withWay } from "./pile";

describe("the pile that is read", () => {
  it("stands in the address and comes back from it", () => {
    const pile = { order: "LIKENESS", show: "HELD", level: "c1:2" } as const;
    const params = withPile(new URLSearchParams("question=q4&answer=7"), pile);
    expect(params.get("question")).toBe("q4");
    expect(params.has("answer")).toBe(false);
    expect(pileOf(params)).toEqual(pile);
    expect(withPile(params, ALL).toString()).toBe("question=q4");
  });

  it("is all answers where an address says nothing, or something odd", () => {
    expect(pileOf(new URLSearchParams("order=sideways&show=1"))).toEqual(ALL);
    expect(isNarrowed(ALL)).toBe(false);
    expect(isNarrowed({ ...ALL, order: "LENGTH" })).toBe(false);
    expect(isNarrowed({ ...ALL, show: "UNREAD" })).toBe(true);
    expect(isNarrowed({ ...ALL, level: "c1:0" })).toBe(true);
  });

  it("has a place that counts from one in the address", () => {
    expect(placeIn(new URLSearchParams("answer=12"))).toBe(11);
    for (const odd of ["", "answer=0", "answer=-3", "answer=x", "answer=1.5"]) {
      expect(placeIn(new URLSearchParams(odd)), odd).toBeNull();
    }
  });

  it("has its way in the address, and another way begins with all answers", () => {
    const params = new URLSearchParams("question=q4&show=unread&answer=7&names=shown");
    const next = withWay(params, "student");
    expect(wayOf(next)).toBe("student");
    expect(next.toString()).toBe("question=q4&names=shown&way=student");
    expect(wayOf(withWay(next, "question"))).toBe("question");
    expect(wayOf(new URLSearchParams("way=anything"))).toBe("question");
  });
});
