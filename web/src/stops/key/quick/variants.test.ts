import { describe, expect, it } from "vitest";
import { candidates, variantsOf } from "./variants";

describe("other ways to write an accepted answer", () => {
  it.each([
    ["the ebb tide", "ebb tide"],
    ["a reef", "reef"],
    ["ebb (tide)", "ebb"],
    ["ebb (tide)", "ebb tide"],
    ["U.K.", "UK"],
    ["Capt. Orrel", "Capt Orrel"],
    ["GMT", "G.M.T."],
    ["tide-table", "tide table"],
    ["tide-table", "tidetable"],
    ["tide table", "tide-table"],
    ["rod & line", "rod and line"],
    ["port and starboard", "port & starboard"],
    ["harbour", "harbor"],
    ["harbor", "harbour"],
    ["centre", "center"],
    ["organise", "organize"],
    ["analyzing", "analysing"],
    ["catalogue", "catalog"],
    ["signalling", "signaling"],
    ["twelve cables", "12 cables"],
    ["10 cables", "ten cables"],
  ])("of “%s” have “%s”", (text, variant) => {
    expect(variantsOf(text)).toContain(variant);
  });

  it.each(["12.5 nmi", "bowline", "3,5"])("of “%s” are none that say something else", (text) => {
    expect(variantsOf(text)).toEqual([]);
  });

  it("are proposed once, and not where they are accepted already", () => {
    expect(candidates(["harbour", "harbor"])).toEqual([]);
    expect(candidates(["the ebb", "an ebb"])).toEqual(["ebb"]);
  });
});
