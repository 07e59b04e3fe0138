import { describe, expect, it } from "vitest";
import { inTree, nextCode, possibleParents, recoded, removed } from "./tree";

const tides = [
  { code: "T", text: "Tides" },
  { code: "C", text: "Chartwork" },
  { code: "T1", parent: "T", text: "Causes" },
  { code: "T1.1", parent: "T1", text: "Moon" },
];

describe("a tree of standards", () => {
  it("shows each standard behind its parent", () => {
    expect(inTree(tides).map((n) => [n.standard.code, n.depth])).toEqual([
      ["T", 0],
      ["T1", 1],
      ["T1.1", 2],
      ["C", 0],
    ]);
  });
  it("gives free codes below a parent", () => {
    expect(nextCode(tides, "T")).toBe("T2");
    expect(nextCode(tides, "T1")).toBe("T1.2");
    expect(nextCode(tides, undefined)).toBe("N3");
  });
  it("keeps what stood below a standard that is taken out", () => {
    expect(removed(tides, "T1").find((s) => s.code === "T1.1")?.parent).toBe("T");
  });
  it("changes a code for the children as well, and never into one that is taken", () => {
    expect(recoded(tides, "T1", "T9").find((s) => s.code === "T1.1")?.parent).toBe("T9");
    expect(recoded(tides, "T1", "C")).toBe(tides);
  });
  it("lets nothing stand below itself", () => {
    expect(possibleParents(tides, "T")).toEqual(["C"]);
  });
});
