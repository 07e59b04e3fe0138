import DOMPurify from "dompurify";

const TAGS =
  "p br strong b em i u s sub sup code pre blockquote ul ol li h2 h3 table thead tbody tr th td a img audio span hr";
const ATTRIBUTES = ["href", "src", "alt", "title", "controls", "data-formula", "colspan", "rowspan", "start"];

/** What of formatted text is only text: nothing that runs, and no look of another program's. */
export const clean = (html: string): string =>
  DOMPurify.sanitize(html, { ALLOWED_TAGS: TAGS.split(" "), ALLOWED_ATTR: ATTRIBUTES });
