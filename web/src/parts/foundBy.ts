/** Whether something is found by the words typed: each of them stands in one of its texts, as a part of it. */
export function foundBy(words: string, texts: (string | null)[]): boolean {
  const all = texts.join(" ").toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}
