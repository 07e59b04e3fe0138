import { freeId, type Item } from "../definition";

/** The places of the blanks in a sentence, such as {b1}; [b1] is one as well where a part has this id. */
export const PLACE = /\{([A-Za-z0-9_-]+)\}|\[([A-Za-z0-9_-]+)\]/g;

/** A sentence with its blanks as lines, for where nothing is filled in. */
export const withoutPlaces = (prompt: string) => prompt.replace(/\{b\d+\}|\[b\d+\]/g, "____");

/** A sentence cut at its blanks: texts, and ids of blanks that are there. */
export function pieces(prompt: string, ids: string[]): (string | { blank: string })[] {
  const cut: (string | { blank: string })[] = [];
  let from = 0;
  for (const found of prompt.matchAll(PLACE)) {
    const id = found[1] ?? found[2] ?? "";
    if (ids.includes(id)) {
      cut.push(prompt.slice(from, found.index), { blank: id });
      from = found.index + found[0].length;
    }
  }
  return [...cut, prompt.slice(from)].filter((p) => p !== "");
}

/**
 * A word in square brackets becomes a blank: `[ebb]` is a text, `[ebb|ebbs]` one with two accepted texts, `[=12.5]` a
 * number, `[*ebb/flood]` a choice of which the starred is right.
 */
export function withBlanks(item: Item, typed: string): Item {
  const parts = [...(item.parts ?? [])];
  const prompt = typed.replace(/\[([^[\]\n]+)\]/g, (whole, inside: string) => {
    if (parts.some((p) => p.id === inside)) {
      return `{${inside}}`;
    }
    const blank = blankOf(inside.trim(), freeId("b", parts));
    if (!blank) {
      return whole;
    }
    parts.push(blank);
    return `{${blank.id}}`;
  });
  const named = placesIn(prompt);
  // A blank whose place was deleted goes with it; one that never had a place stays below the sentence.
  const before = placesIn(item.prompt ?? "");
  return { ...item, prompt, parts: parts.filter((p) => named.has(p.id) || !before.has(p.id)) };
}

const placesIn = (prompt: string) => new Set([...prompt.matchAll(PLACE)].map((m) => m[1] ?? m[2]));

function blankOf(inside: string, id: string): Item | null {
  if (inside === "") {
    return null;
  }
  if (inside.startsWith("=")) {
    const [value, within] = inside
      .slice(1)
      .split("±")
      .map((s) => s.trim());
    return { id, kind: "number", accept: [within ? { value: value ?? "", within } : { value: value ?? "" }] };
  }
  const listed = inside.split("/").map((s) => s.trim());
  if (listed.length > 1 && listed.some((o) => o.startsWith("*"))) {
    const options = listed.map((text, i) => ({
      id: String.fromCharCode(97 + i),
      text: text.replace(/^\*/, ""),
    }));
    const key = options.filter((_, i) => listed[i]?.startsWith("*")).map((o) => o.id);
    return { id, kind: "choice", options, key };
  }
  const accept = inside.split("|").map((text) => ({ text: text.trim() }));
  return { id, kind: "text", accept, spelling: "length", ignore: ["case", "space", "articles", "marks"] };
}

/** The blanks of equal kind and weight that may stand in one another's place. */
export function exchangeable(item: Item): string[] {
  const [first] = item.parts ?? [];
  return (item.parts ?? [])
    .filter((p) => p.kind === first?.kind && (p.weight ?? "1") === (first?.weight ?? "1"))
    .map((p) => p.id);
}
