import { describe, expect, it } from "vitest";
import { moved, wholeWords, wordsOf } from "./words";

const TEXT = "First I’d rig a slip-line, then go.";
const said = (span: { from: number; to: number } | null) => span && TEXT.slice(span.from, span.to);

describe("words that are chosen", () => {
  it("are whole words, also with an apostrophe or a hyphen in them", () => {
    expect(wordsOf(TEXT).map(said)).toEqual(["First", "I’d", "rig", "a", "slip-line", "then", "go"]);
  });

  it("are gone through word by word, and made longer and shorter at their end", () => {
    let chosen = moved(TEXT, null, 1, false);
    expect(said(chosen)).toBe("First");
    chosen = moved(TEXT, chosen, 1, false);
    chosen = moved(TEXT, chosen, 1, true);
    chosen = moved(TEXT, chosen, 1, true);
    expect(said(chosen)).toBe("I’d rig a");
    chosen = moved(TEXT, chosen, -1, true);
    expect(said(chosen)).toBe("I’d rig");
    expect(said(moved(TEXT, chosen, 1, false))).toBe("a");
    expect(said(moved(TEXT, chosen, -1, false))).toBe("First");
  });

  it("stop at both ends of the answer and never come to nothing", () => {
    const last = { from: TEXT.indexOf("go"), to: TEXT.indexOf("go") + 2 };
    expect(said(moved(TEXT, last, 1, false))).toBe("go");
    expect(said(moved(TEXT, last, -1, true))).toBe("go");
    expect(moved("", null, 1, false)).toBeNull();
  });

  it("are taken whole, however little of them is selected", () => {
    expect(said(wholeWords(TEXT, { from: 7, to: 11 }))).toBe("I’d rig");
    expect(said(wholeWords(TEXT, { from: 5, to: 10 }))).toBe("I’d");
    expect(wholeWords(TEXT, { from: 5, to: 6 })).toBeNull();
  });
});
