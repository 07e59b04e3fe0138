import { type Item, newItem } from "../definition";

/** What a question of the same sort takes from another: how it is scored and where it belongs, nothing of its key. */
const TAKEN = [
  "points",
  "part",
  "standards",
  "tags",
  "difficulty",
  "minutes",
  "max",
  "rule",
  "penalty",
  "ignore",
  "spelling",
  "spellingCredit",
  "otherwise",
  "several",
  "unit",
  "figures",
  "decimal",
  "rubric",
  "rubricShown",
  "rubricKept",
  "words",
  "mastery",
  "perLeft",
  "perRight",
  "variables",
  "form",
  "formCredit",
  "steps",
  "result",
  "followThrough",
  "stem",
] as const;

/** One more question like another one: empty, with its kind, points, standards and rules, and as many options. */
export function oneMoreLike(item: Item, items: Item[]): Item {
  const fresh = newItem(item.kind, items);
  const taken = Object.fromEntries(TAKEN.filter((f) => item[f] !== undefined).map((f) => [f, item[f]]));
  const more = { ...fresh, ...structuredClone(taken) };
  return item.kind === "choice" && item.options
    ? { ...more, options: item.options.map((o) => ({ id: o.id, text: "" })) }
    : more;
}
