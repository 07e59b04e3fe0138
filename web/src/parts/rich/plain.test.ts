import { describe, expect, it } from "vitest";
import { escaped, paragraphs, unescaped } from "./plain";

describe("plain words in markup", () => {
  it("say the same after they were escaped and read again, whatever they are", () => {
    for (const words of ["a < b & c > d", "&lt;p&gt;", "“both” & 'none'", "", "&amp;amp;"]) {
      expect(unescaped(escaped(words))).toBe(words);
    }
  });

  it("stand a line in a paragraph, and no tag of theirs is one", () => {
    expect(paragraphs("<b>\nx & y")).toBe("<p>&lt;b&gt;</p><p>x &amp; y</p>");
  });
});
