import { describe, expect, it } from "vitest";
import { foundBy } from "./foundBy";

describe("finding an assessment in a list", () => {
  it("finds by every word, in the title, the code or a label", () => {
    const about = { code: "CW-7", labels: ["chart work", "Year 1"] };
    expect(foundBy("", "Tides", about)).toBe(true);
    expect(foundBy("tid year", "Tides", about)).toBe(true);
    expect(foundBy("cw-7", "Tides", about)).toBe(true);
    expect(foundBy("tides exam", "Tides", about)).toBe(false);
  });
});
