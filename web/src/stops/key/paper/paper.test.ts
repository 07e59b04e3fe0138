import { describe, expect, it } from "vitest";
import { stepKind, stepOf } from "./curve";
import { quotasOf, quotasText } from "./quotas";

describe("what is typed of a paper's rules", () => {
  it("is read as how many on which standard", () => {
    expect(quotasOf("2 T1, 2 on T2.1, 3")).toEqual([
      { code: "T1", take: 2 },
      { code: "T2.1", take: 2 },
    ]);
    expect(quotasText(quotasOf("2 T1,2 T2"))).toBe("2 T1, 2 T2");
  });
  it("is read as a step of the curve", () => {
    expect(stepOf("line", "0 20 100 100")).toEqual({
      line: [
        ["0", "20"],
        ["100", "100"],
      ],
    });
    expect(stepOf("root", "")).toEqual({ root: true });
    expect(stepKind(stepOf("scaleTo", "95"))).toBe("scaleTo");
  });
});
