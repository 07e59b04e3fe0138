import { linked } from "./links";

/** A text with its links, each opened beside the page that one reads. */
export function Linked({ text }: { text: string }) {
  let at = 0;
  return linked(text).map(({ text: piece, href }) => {
    const key = `${at++}`;
    return href === null ? (
      <span key={key}>{piece}</span>
    ) : (
      <a key={key} href={href} target="_blank" rel="noopener noreferrer" className="break-all underline">
        {piece}
      </a>
    );
  });
}
