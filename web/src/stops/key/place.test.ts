import { describe, expect, it } from "vitest";
import { isTyped, placeInWords } from "./place";

describe("the place of a fault", () => {
  it("is told as the page calls it, counted from one", () => {
    expect(placeInWords("accept[0].pattern")).toBe("accepted 1, pattern");
    expect(placeInWords("rubric.criteria[1].levels[0].points")).toBe("rubric, criterion 2, level 1, points");
    expect(placeInWords("somethingNew[2]")).toBe("somethingNew 3");
    expect(placeInWords("")).toBe("");
  });

  it("is at the key for what was typed, and in the margin alone for what is only missing yet", () => {
    expect(isTyped("accept[0].pattern")).toBe(true);
    expect(isTyped("penalty")).toBe(true);
    expect(isTyped("key")).toBe(false);
    expect(isTyped("points")).toBe(false);
    expect(isTyped("rubric.criteria[0].weight")).toBe(false);
  });
});
