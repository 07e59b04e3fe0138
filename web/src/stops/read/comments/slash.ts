/** A word that begins with a slash, at which somebody types: from where to where, and what comes after the slash. */
export type Slash = { from: number; to: number; words: string };

/** Searched are the words after the last slash that stands after no letter, digit or address; a new line ends them. */
export function slashAt(text: string, caret: number): Slash | null {
  const before = text.slice(0, caret);
  const found = before.match(/(?:^|[^\p{L}\p{N}:/])\/([^/\n]{0,60})$/u);
  const words = found?.[1];
  return words === undefined || /^\s/.test(words)
    ? null
    : { from: caret - words.length - 1, to: caret, words };
}

/** Those that have every word that was typed, wherever it stands; the order stays. */
export function fitting<C extends { text: string }>(comments: C[], words: string): C[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return comments.filter((c) => wanted.every((w) => c.text.toLowerCase().includes(w)));
}

/** The text with a comment in place of what was searched, and a space before it where a sentence ends there. */
export function withComment(text: string, slash: Slash, comment: string): string {
  const before = text.slice(0, slash.from);
  const space = /\S$/.test(before) ? " " : "";
  return before + space + comment + text.slice(slash.to);
}
