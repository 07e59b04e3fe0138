import { useEffect, useRef } from "react";

/** The typesetter comes by itself, when the first formula is shown. */
const typesetter = () =>
  Promise.all([import("katex"), import("katex/dist/katex.min.css")]).then(([k]) => k.default);

/** A longer one is shown as it is typed; print does the same. */
const LONGEST = 2000;
/** What a formula asks for is drawn no larger, in em. */
const LARGEST_EM = 20;
/** How often what is short for something else is written out. */
const MOST_STEPS = 100;

/** Writes a formula into an element; what cannot be set stays as it is typed. */
export function typeset(element: HTMLElement, latex: string) {
  if (latex.length > LONGEST) {
    element.textContent = latex;
    return;
  }
  void typesetter().then((katex) =>
    katex.render(latex, element, {
      throwOnError: false,
      output: "htmlAndMathml",
      strict: false,
      trust: false,
      maxSize: LARGEST_EM,
      maxExpand: MOST_STEPS,
    }),
  );
}

/** A formula as it is printed; screen readers hear its MathML. */
export function Maths({ latex, className = "" }: { latex: string; className?: string }) {
  const at = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    at.current && typeset(at.current, latex);
  }, [latex]);
  return <span ref={at} className={className} data-latex={latex} />;
}
