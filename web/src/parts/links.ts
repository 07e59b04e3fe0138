/** A stretch of a text; one with an address leads there. */
export type Piece = { text: string; href: string | null };

const ADDRESS = /https?:\/\/[^\s<>"]+/gu;
/** What ends a sentence rather than an address. */
const AFTER = /[.,;:!?)\]’”']+$/u;

/** A text with the addresses of pages in it as links; of no other kind, and only whole ones. */
export function linked(text: string): Piece[] {
  const pieces: Piece[] = [];
  let from = 0;
  for (const found of text.matchAll(ADDRESS)) {
    const address = found[0].replace(AFTER, "");
    if (URL.canParse(address)) {
      pieces.push({ text: text.slice(from, found.index), href: null }, { text: address, href: address });
      from = found.index + address.length;
    }
  }
  pieces.push({ text: text.slice(from), href: null });
  return pieces.filter((p) => p.text !== "");
}
