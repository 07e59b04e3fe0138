import { describe, expect, it } from "vitest";
import en from "./en.json";

const SOURCES = import.meta.glob("../**/*.{ts,tsx}", {
  query: "?raw",
  import: "default",
  eager: true,
}) as Record<string, string>;

/** What a pattern finds in the sources of the screens. */
const found = (pattern: RegExp) =>
  Object.entries(SOURCES)
    .filter(([file]) => !file.includes(".test.") && !file.includes("schema"))
    .flatMap(([file, source]) =>
      [...source.matchAll(pattern)].map(([, text = ""]) => ({
        file,
        text: JSON.parse(`"${text}"`) as string,
      })),
    );

const TEXTS = found(/"((?:[^"\\\n]|\\.)*)"/g);

/** Of these, the ones that are translated as they are written. */
const translated = found(/\bt\(\s*"((?:[^"\\\n]|\\.)*)"/g);

describe("the texts of the screens", () => {
  it("are found by this test", () => {
    expect(translated.length).toBeGreaterThan(900);
  });

  it("have a form for one and a form for many wherever they count", () => {
    const counting = TEXTS.filter(({ text }) => text.includes("{{count}}"));
    expect(counting.length).toBeGreaterThan(30);
    for (const { file, text } of counting) {
      expect(en, `${file}: ${text}`).toHaveProperty([`${text}_one`]);
      expect(en, `${file}: ${text}`).toHaveProperty([`${text}_other`]);
    }
  });

  it("count with a number that can be one, never with a plural that is always there", () => {
    const plural =
      /\{\{n\}\} (answers|questions|students|items|minutes|hours|days|seconds|rows|standards|sections|marks|words|changes|results)\b/;
    expect(translated.filter(({ text }) => plural.test(text))).toEqual([]);
  });

  it("are whole: none begins or ends with a blank, or begins with a comma, to be glued to another", () => {
    expect(translated.filter(({ text }) => /^\s|\s$|^[,;.)]/.test(text))).toEqual([]);
  });

  it("keep no form in the catalogue that no screen uses", () => {
    const used = new Set(TEXTS.map(({ text }) => text));
    const stale = Object.keys(en).filter((key) => !used.has(key.replace(/_(one|other)$/, "")));
    expect(stale).toEqual([]);
  });
});
