/** Whether an assessment is found by some words: each of them stands in its title, its code or a label. */
export function foundBy(words: string, title: string, about: { code: string; labels: string[] }): boolean {
  const all = [title, about.code, ...about.labels].join(" ").toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}
