import type { Schemas } from "../../api/client";

/** An assessment's code and labels, as lists show them. */
export function AboutInShort({ about }: { about: Schemas["InShort"] }) {
  const words = [about.code, ...about.labels].filter(Boolean);
  return words.length === 0 ? null : (
    <span className="font-sans text-small text-soft">· {words.join(" · ")}</span>
  );
}
