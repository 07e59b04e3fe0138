import { describe, expect, it } from "vitest";
import { lines } from "./Answer";

describe("an answer in numbered lines", () => {
  it("breaks at words and loses none", () => {
    const text =
      "The tide goes up and down but the water must come and go through the mouth to do it. ".repeat(4);
    const broken = lines(text.trim());
    expect(broken.length).toBeGreaterThan(4);
    expect(broken.every((l) => l.length <= 64)).toBe(true);
    expect(broken.join(" ")).toBe(text.trim());
  });
  it("keeps the writer's own line ends, also empty ones", () => {
    expect(lines("a\n\nb")).toEqual(["a", "", "b"]);
  });
  it("never cuts a word, however long", () => {
    const word = "x".repeat(100);
    expect(lines(`a ${word} b`)).toEqual(["a", word, "b"]);
  });
});
