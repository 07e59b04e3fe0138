import { describe, expect, it } from "vitest";
import { differences } from "./differences";

const side = (all: ReturnType<typeof differences>, which: "earlier" | "later") =>
  all
    .filter((s) => s.only === null || s.only === which)
    .map((s) => s.text)
    .join("");

describe("differences of two answers", () => {
  it("mark what was taken out and what was added", () => {
    expect(differences("The moon pulls.", "The moon and the sun pull.")).toEqual(
      expect.arrayContaining([{ text: "The moon ", only: null }]),
    );
    expect(differences("a rope", "a wet rope").filter((s) => s.only)).toEqual([
      { text: "wet ", only: "later" },
    ]);
    expect(differences("a wet rope", "a rope").filter((s) => s.only)).toEqual([
      { text: "wet ", only: "earlier" },
    ]);
  });

  it("leave both texts whole, line breaks and blanks as well", () => {
    const earlier = "First line.\n\n  Second  line, été.";
    const later = "First line.\nA new one.\n  Second line, été!";
    const all = differences(earlier, later);
    expect(side(all, "earlier")).toBe(earlier);
    expect(side(all, "later")).toBe(later);
  });

  it("of the same text are none, and of an empty one are all of it", () => {
    expect(differences("same", "same").every((s) => s.only === null)).toBe(true);
    expect(differences("", "all new")).toEqual([{ text: "all new", only: "later" }]);
  });
});
