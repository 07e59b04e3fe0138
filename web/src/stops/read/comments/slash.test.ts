import { describe, expect, it } from "vitest";
import { fitting, slashAt, withComment } from "./slash";

describe("a comment that is searched by a slash", () => {
  it("is searched by what stands after a slash that begins a word", () => {
    expect(slashAt("Good. /why a", 12)).toEqual({ from: 6, to: 12, words: "why a" });
    expect(slashAt("/", 1)).toEqual({ from: 0, to: 1, words: "" });
  });

  it("is not searched within a word, after a slash alone, or on another line", () => {
    expect(slashAt("and/or", 6)).toBeNull();
    expect(slashAt("1 / 2", 5)).toBeNull();
    expect(slashAt("1/2", 3)).toBeNull();
    expect(slashAt("https://a", 9)).toBeNull();
    expect(slashAt("/why\nnot", 8)).toBeNull();
  });

  it("takes the place of what was typed", () => {
    const text = "Good. /why then";
    const slash = slashAt(text, 10);
    expect(slash && withComment(text, slash, "Why astern?")).toBe("Good. Why astern? then");
  });

  it("is searched right after a sentence as well, and stands apart from it", () => {
    const slash = slashAt("Good./why", 9);
    expect(slash && withComment("Good./why", slash, "Why?")).toBe("Good. Why?");
  });

  it("has all words that were typed", () => {
    const all = [{ text: "Why astern?" }, { text: "Say why." }, { text: "Good order." }];
    expect(fitting(all, "WHY a").map((c) => c.text)).toEqual(["Why astern?", "Say why."]);
    expect(fitting(all, "")).toHaveLength(3);
  });
});
