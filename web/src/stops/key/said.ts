import { type Item, letterOf, type Named } from "./definition";

/** What an answer says, in the item's own words. */
export function saidInShort(item: Item, answer: unknown): string {
  if (answer !== null && typeof answer === "object" && !Array.isArray(answer)) {
    return Object.entries(answer)
      .map(([id, said]) => saidInShort(item.parts?.find((p) => p.id === id) ?? item, said))
      .join(" · ");
  }
  if (!Array.isArray(answer)) {
    return String(answer);
  }
  switch (item.kind) {
    case "choice":
      return answer
        .map((id) => item.options?.find((o) => o.id === id)?.text || letterOf(item, id))
        .join(" + ");
    case "pairs":
      return answer.map(([l, r]) => `${name(item.left, l)} → ${name(item.right, r)}`).join("; ");
    case "order":
      return answer.map((id) => name(item.tokens, id)).join(" › ");
    case "spot":
      return answer
        .map(([x, y]) => `${Math.round(Number(x) * 100)}%, ${Math.round(Number(y) * 100)}%`)
        .join("; ");
    default:
      return answer.join(" ⏎ ");
  }
}

const name = (all: Named[] | undefined, id: string) => all?.find((n) => n.id === id)?.text || id;
