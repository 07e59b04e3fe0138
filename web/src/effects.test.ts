import { expect, it } from "vitest";

const SOURCES = import.meta.glob("./**/*.tsx", { query: "?raw", import: "default", eager: true });

it("what an effect or a reference hands back is meant: browsers begin to return promises from scrolling", () => {
  const files = Object.entries(SOURCES) as [string, string][];
  expect(files.length).toBeGreaterThan(100);
  for (const [file, source] of files) {
    expect(source, file).not.toMatch(/\buse(Layout)?Effect\(\s*\(\) => (?!\(\) =>)[^{\s]/);
    expect(source, file).not.toMatch(/\bref=\{\(\w+\) => [^{\s(]/);
  }
});
