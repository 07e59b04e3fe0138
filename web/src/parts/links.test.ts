import { describe, expect, it } from "vitest";
import { linked } from "./links";

describe("links in what a teacher writes", () => {
  it("are the whole addresses of pages, without what ends the sentence", () => {
    expect(linked("See https://sea.example/tides?at=3#low, then try again.")).toEqual([
      { text: "See ", href: null },
      { text: "https://sea.example/tides?at=3#low", href: "https://sea.example/tides?at=3#low" },
      { text: ", then try again.", href: null },
    ]);
    expect(linked("(http://a.example)").map((p) => p.href)).toEqual([null, "http://a.example", null]);
  });

  it("are nothing else: no scripts, no half addresses, no mail", () => {
    for (const text of ["javascript:alert(1)", "https://", "data:text/html,x", "a@sea.example", ""]) {
      expect(linked(text).filter((p) => p.href !== null)).toEqual([]);
    }
  });

  it("leave every letter of the text", () => {
    const text = "One https://a.example/x. Two\nhttps://b.example/y?z=1!";
    expect(
      linked(text)
        .map((p) => p.text)
        .join(""),
    ).toBe(text);
  });
});
