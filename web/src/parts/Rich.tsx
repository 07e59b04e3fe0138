import DOMPurify from "dompurify";
import { useEffect, useMemo, useRef } from "react";
import { typeset } from "./Maths";

const TAGS =
  "p br strong em u s sub sup code pre blockquote ul ol li h2 h3 table thead tbody tr th td a img audio span hr";
const ATTRIBUTES = ["href", "src", "alt", "title", "controls", "data-formula", "colspan", "rowspan", "start"];

/** Formatted text of people: pictures and sound of the school's own, formulas set; whatever else it holds is left out. */
export function Rich({ html, className = "" }: { html: string; className?: string }) {
  const at = useRef<HTMLDivElement>(null);
  const clean = useMemo(
    () => DOMPurify.sanitize(html, { ALLOWED_TAGS: TAGS.split(" "), ALLOWED_ATTR: ATTRIBUTES }),
    [html],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: the formulas are those of the text that stands there now
  useEffect(() => {
    for (const span of at.current?.querySelectorAll<HTMLElement>("span[data-formula]") ?? []) {
      typeset(span, span.dataset.formula ?? "");
    }
  }, [clean]);
  return (
    <div
      ref={at}
      className={`rich ${className}`}
      // biome-ignore lint/security/noDangerouslySetInnerHtml: it is sanitised a line above, and by the server before
      dangerouslySetInnerHTML={{ __html: clean }}
    />
  );
}
