import { describe, expect, it } from "vitest";
import { afterTouch } from "./chosen";

describe("options that are touched", () => {
  it("take the place of one another where one is asked, and are let go by a second touch", () => {
    expect(afterTouch(["a"], "b", 1)).toEqual(["b"]);
    expect(afterTouch(["a"], "a", 1)).toEqual([]);
  });

  it("are never more than may be chosen", () => {
    expect(afterTouch(["a"], "b", 2)).toEqual(["a", "b"]);
    expect(afterTouch(["a", "b"], "c", 2)).toEqual(["a", "b"]);
    expect(afterTouch(["a", "b"], "a", 2)).toEqual(["b"]);
  });
});
