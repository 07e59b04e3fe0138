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

/** Without blanks at both ends; null where nothing is left. */
export function trimmed(text: string, { from, to }: Span): Span | null {
  const words = text.slice(from, to);
  const start = from + (words.length - words.trimStart().length);
  const end = to - (words.length - words.trimEnd().length);
  return start < end ? { from: start, to: end } : null;
}
