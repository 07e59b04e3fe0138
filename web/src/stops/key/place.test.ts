import { describe, expect, it } from "vitest";
import { newItem } from "./definition";
import { isTyped, placeInWords, placeOnPaper } from "./place";

describe("the place of a fault", () => {
  it("is told as the page calls it, counted from one", () => {
    expect(placeInWords("accept[0].pattern")).toBe("accepted 1, pattern");
    expect(placeInWords("rubric.criteria[1].levels[0].points")).toBe("rubric, criterion 2, level 1, points");
    expect(placeInWords("somethingNew[2]")).toBe("somethingNew 3");
    expect(placeInWords("")).toBe("");
  });

  it("has the number that the question has on the paper, where passages have none", () => {
    const items = [newItem("passage", []), newItem("choice", []), newItem("text", [])];
    expect(placeOnPaper("items[2].accept[0].pattern", items)).toBe("question 2, accepted 1, pattern");
    expect(placeOnPaper("items[1]", items)).toBe("question 1");
    expect(placeOnPaper("items[0].body", items)).toBe("reading passage, what is asked");
    expect(placeOnPaper("grading.pass", items)).toBe("grading, pass");
  });

  it("is at the key for what was typed, and in the margin alone for what is only missing yet", () => {
    expect(isTyped("accept[0].pattern")).toBe(true);
    expect(isTyped("penalty")).toBe(true);
    expect(isTyped("key")).toBe(false);
    expect(isTyped("points")).toBe(false);
    expect(isTyped("rubric.criteria[0].weight")).toBe(false);
  });
});
