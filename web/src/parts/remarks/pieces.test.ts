import { describe, expect, it } from "vitest";
import { pieces } from "./pieces";

describe("a text with comments on its words", () => {
  it("is cut where one of them begins or ends, and each part knows which lie over it", () => {
    expect(
      pieces({ from: 0, to: 20 }, [
        { from: 4, to: 10 },
        { from: 8, to: 12 },
      ]),
    ).toEqual([
      { from: 0, to: 4, on: [] },
      { from: 4, to: 8, on: [0] },
      { from: 8, to: 10, on: [0, 1] },
      { from: 10, to: 12, on: [1] },
      { from: 12, to: 20, on: [] },
    ]);
  });

  it("shows on each line the part that lies on it", () => {
    expect(pieces({ from: 10, to: 20 }, [{ from: 5, to: 14 }])).toEqual([
      { from: 10, to: 14, on: [0] },
      { from: 14, to: 20, on: [] },
    ]);
    expect(pieces({ from: 20, to: 20 }, [{ from: 5, to: 14 }])).toEqual([]);
  });

  it("loses no letter, whatever lies over it", () => {
    const text = "Let go the leeward line, then slip.";
    const spans = [0, 3, 9, 17].map((from, i) => ({ from, to: from + 5 * (i + 1) }));
    const all = pieces({ from: 0, to: text.length }, spans);
    expect(all.map((p) => text.slice(p.from, p.to)).join("")).toBe(text);
  });
});
