import { type Item, type Kind, newItem, without } from "../definition";

/** Kinds that have so much in common that one can become another. */
export const KINDRED: Kind[] = ["choice", "text", "number", "open"];

/** What every kind has. */
const COMMON = [
  "points",
  "part",
  "prompt",
  "body",
  "standards",
  "picture",
  "feedback",
  "hint",
  "tags",
  "difficulty",
  "minutes",
  "stem",
  "reasonFor",
  "weight",
] as const;

const NUMBER = /^[-+−]?\d+([.,]\d+)?$/;

/** What would be lost with another kind, to be said before it is. */
export type Lost = "rubric" | "wrong options" | "accepted answers" | "number of words" | "examples" | "unit";

/** A question as another kind: what both have is kept, the right answer too where both can say it. */
export function asKind(item: Item, kind: Kind): { item: Item; lost: Lost[] } {
  const common = Object.fromEntries(COMMON.filter((f) => item[f] !== undefined).map((f) => [f, item[f]]));
  const fresh = { ...newItem(kind, []), ...common, id: item.id };
  const right = rightTexts(item);
  const lost: Lost[] = [];
  if (item.rubric) {
    lost.push("rubric");
  }
  if (item.words && kind !== "open") {
    lost.push("number of words");
  }
  if ((item.examples ?? []).length > 0) {
    lost.push("examples");
  }
  if (item.unit && kind !== "text") {
    lost.push("unit");
  }
  if (item.kind === "choice" && (item.options ?? []).some((o) => o.text && !item.key?.includes(o.id))) {
    lost.push("wrong options");
  }
  const [made, kept] = withRight(fresh, right);
  if (right.length > kept) {
    lost.push("accepted answers");
  }
  return { item: made, lost };
}

/** The right answers of a question as texts. */
function rightTexts(item: Item): string[] {
  if (item.kind === "choice") {
    return (item.options ?? []).filter((o) => item.key?.includes(o.id) && o.text).map((o) => o.text);
  }
  const unit = item.unit ? ` ${item.unit.expect}` : "";
  return (item.accept ?? [])
    .map((a) => (item.kind === "number" ? (a.value ? a.value + unit : "") : (a.text ?? a.pattern ?? "")))
    .filter(Boolean);
}

/** The question with these right answers, and how many of them it could take. */
function withRight(item: Item, right: string[]): [Item, number] {
  if (right.length === 0) {
    return [item, 0];
  }
  if (item.kind === "text") {
    return [{ ...item, accept: right.map((text) => ({ text })) }, right.length];
  }
  if (item.kind === "number") {
    const numbers = right.filter((text) => NUMBER.test(text.trim()));
    const accept = numbers.map((text) => ({ value: text.trim().replace(",", ".").replace("−", "-") }));
    return [{ ...item, accept }, numbers.length];
  }
  if (item.kind === "choice") {
    const options = (item.options ?? []).map((o, i) => ({ ...o, text: right[i] ?? "" }));
    const key = options.filter((o) => o.text).slice(0, 1);
    const several = right.length > 1 ? { max: options.length, rule: "net" } : {};
    const keyed = right.length > 1 ? options.filter((o) => o.text) : key;
    return [
      { ...item, ...several, options, key: keyed.map((o) => o.id) },
      Math.min(right.length, options.length),
    ];
  }
  return [without(item, "accept"), 0];
}
