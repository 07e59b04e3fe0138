import { describe, expect, it } from "vitest";
import { foundBy } from "./foundBy";

describe("finding a line of a list", () => {
  it("finds by every word, in whichever text it stands", () => {
    const texts = ["Tides", "CW-7", null, "chart work", "Year 1"];
    expect(foundBy("", texts)).toBe(true);
    expect(foundBy("tid year", texts)).toBe(true);
    expect(foundBy("cw-7 ", texts)).toBe(true);
    expect(foundBy("tides exam", texts)).toBe(false);
    expect(foundBy("null", texts)).toBe(false);
  });
});
