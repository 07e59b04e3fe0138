import { describe, expect, it } from "vitest";
import { lines } from "./lines";

const texts = (text: string) => lines(text).map((l) => l.text);

describe("an answer in numbered lines", () => {
  it("breaks at words and loses none", () => {
    const text =
      "The tide goes up and down but the water must come and go through the mouth to do it. ".repeat(4);
    const broken = texts(text.trim());
    expect(broken.length).toBeGreaterThan(4);
    expect(broken.every((l) => l.length <= 64)).toBe(true);
    expect(broken.join(" ")).toBe(text.trim());
  });
  it("keeps the writer's own line ends, also empty ones", () => {
    expect(texts("a\n\nb")).toEqual(["a", "", "b"]);
  });
  it("never cuts a word, however long", () => {
    const word = "x".repeat(100);
    expect(texts(`a ${word} b`)).toEqual(["a", word, "b"]);
  });
  it("knows where each line begins in the answer, so that no comment stands beside other words", () => {
    const text = `First  a line, then ${"another ".repeat(20)}\n\n  and one that is set in.`;
    for (const line of lines(text)) {
      expect(text.slice(line.from, line.from + line.text.length)).toBe(line.text);
    }
    expect(lines(text).at(-1)?.text).toBe("  and one that is set in.");
  });
});
