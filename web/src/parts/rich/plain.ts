/** Plain words as they stand in markup. */
export const escaped = (words: string): string =>
  words.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;");

/** The words that such markup says. */
export const unescaped = (markup: string): string =>
  markup
    .replace(/&lt;/g, "<")
    .replace(/&gt;/g, ">")
    .replace(/&quot;/g, '"')
    .replace(/&#39;/g, "'")
    .replace(/&amp;/g, "&");

/** Lines as paragraphs. */
export const paragraphs = (text: string): string =>
  escaped(text)
    .split("\n")
    .map((line) => `<p>${line}</p>`)
    .join("");

/** The pictures and recordings among what was pasted or dropped. */
export const media = (data: DataTransfer | null): File[] =>
  [...(data?.files ?? [])].filter((f) => /^(image|audio)\//.test(f.type));
