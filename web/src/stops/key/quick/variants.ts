const MOST = 8;

const NUMBERS = "zero one two three four five six seven eight nine ten eleven twelve".split(" ");

/** Endings that are spelt in two ways; the first is turned into the second, and the other way round. */
const ENDINGS: [RegExp, string][] = [
  [/our\b/g, "or"],
  [/(?<=[a-z]{2})or\b/g, "our"],
  [/([bcdgt])re\b/g, "$1er"],
  [/is(e|ed|es|ing|ation|ations)\b/g, "iz$1"],
  [/iz(e|ed|es|ing|ation|ations)\b/g, "is$1"],
  [/ys(e|ed|es|ing)\b/g, "yz$1"],
  [/yz(e|ed|es|ing)\b/g, "ys$1"],
  [/ogue\b/g, "og"],
  [/ll(ed|ing|er)\b/g, "l$1"],
];

/** Other ways in which people write a text: without its article, its dots, its brackets, with the other spelling. */
export function variantsOf(text: string): string[] {
  const made = [
    text.replace(/^(?:the|an?)\s+/i, ""),
    text.replace(/\s*\([^)]*\)\s*/g, " ").trim(),
    text.replace(/[()]/g, ""),
    text.replace(/(?<=\p{L})\.(?=\s|\p{L}|$)/gu, ""),
    /^\p{Lu}{2,6}$/u.test(text) ? `${[...text].join(".")}.` : text,
    text.replace(/-/g, " "),
    text.replace(/-/g, ""),
    /^(?!(?:the|an?) )\p{L}+ \p{L}+$/iu.test(text) ? text.replace(" ", "-") : text,
    text.replace(/\s*&\s*/g, " and "),
    text.replace(/\s+and\s+/g, " & "),
    ...ENDINGS.map(([ending, other]) => text.replace(ending, other)),
    ...asNumbers(text),
  ];
  return [...new Set(made.map((v) => v.replace(/\s+/g, " ").trim()))].filter((v) => v !== "" && v !== text);
}

/** A number in words or in digits. */
function asNumbers(text: string): string[] {
  const words = text.replace(/\b[a-z]+\b/gi, (w) => {
    const n = NUMBERS.indexOf(w.toLowerCase());
    return n < 0 ? w : String(n);
  });
  const digits = text.replace(/(?<![\d.,])\d{1,2}(?![\d.,])/g, (n) => NUMBERS[Number(n)] ?? n);
  return [words, digits];
}

/** The variants of several accepted texts, none of which is accepted already as it stands. */
export function candidates(texts: string[]): string[] {
  const there = new Set(texts);
  return [...new Set(texts.flatMap(variantsOf))].filter((v) => !there.has(v)).slice(0, MOST);
}
