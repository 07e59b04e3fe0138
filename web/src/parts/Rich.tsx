import { useEffect, useMemo, useRef } from "react";
import { typeset } from "./Maths";
import { clean } from "./rich/clean";

/** Formatted text of people: pictures and sound of the school's own, formulas set; whatever else it holds is left out. */
export function Rich({ html, className = "" }: { html: string; className?: string }) {
  const at = useRef<HTMLDivElement>(null);
  const safe = useMemo(() => clean(html), [html]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the formulas are those of the text that stands there now
  useEffect(() => {
    for (const span of at.current?.querySelectorAll<HTMLElement>("span[data-formula]") ?? []) {
      typeset(span, span.dataset.formula ?? "");
    }
  }, [safe]);
  return (
    <div
      ref={at}
      className={`rich ${className}`}
      // biome-ignore lint/security/noDangerouslySetInnerHtml: it is sanitised a line above, and by the server before
      dangerouslySetInnerHTML={{ __html: safe }}
    />
  );
}
