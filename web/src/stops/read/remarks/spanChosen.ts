import type { Span } from "../../../parts/remarks/pieces";
import { wholeWords } from "./words";

/** What of an answer is selected on the page, by the places that its pieces carry; null where nothing is. */
export function spanChosen(within: HTMLElement, text: string): Span | null {
  const selected = window.getSelection();
  if (!selected || selected.isCollapsed || selected.rangeCount === 0) {
    return null;
  }
  const range = selected.getRangeAt(0);
  const all = [...within.querySelectorAll<HTMLElement>("[data-from]")].filter((piece) =>
    range.intersectsNode(piece),
  );
  const first = all[0];
  const last = all.at(-1);
  if (!first || !last) {
    return null;
  }
  const begin = (piece: HTMLElement) => Number(piece.dataset.from);
  const from = begin(first) + (first.contains(range.startContainer) ? range.startOffset : 0);
  const to =
    begin(last) + (last.contains(range.endContainer) ? range.endOffset : (last.textContent?.length ?? 0));
  return wholeWords(text, { from, to });
}
