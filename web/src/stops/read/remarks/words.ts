import type { Span } from "../../../parts/remarks/pieces";

/** The words of a text, each with its place. */
export function wordsOf(text: string): Span[] {
  return [...text.matchAll(/[\p{L}\p{M}\p{N}]+(?:['’-][\p{L}\p{M}\p{N}]+)*/gu)].map((m) => ({
    from: m.index,
    to: m.index + m[0].length,
  }));
}

/** The word after or before the chosen ones; with more, they are made longer or shorter at their end. */
export function moved(text: string, chosen: Span | null, by: 1 | -1, more: boolean): Span | null {
  const words = wordsOf(text);
  if (!chosen) {
    return words[0] ?? null;
  }
  const first = words.findIndex((w) => w.to > chosen.from);
  const last = words.findLastIndex((w) => w.from < chosen.to);
  if (first < 0 || last < first) {
    return words[0] ?? null;
  }
  const within = (n: number, least: number) => Math.max(least, Math.min(words.length - 1, n));
  if (more) {
    const end = words[within(last + by, first)] as Span;
    return { from: (words[first] as Span).from, to: end.to };
  }
  return words[within((by > 0 ? last : first) + by, 0)] ?? null;
}

/** With the whole of the words at both ends; null where there is no word. */
export function wholeWords(text: string, { from, to }: Span): Span | null {
  const some = wordsOf(text).filter((w) => w.to > from && w.from < to);
  const first = some[0];
  const last = some.at(-1);
  return first && last ? { from: first.from, to: last.to } : null;
}
