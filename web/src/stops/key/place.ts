import { t } from "../../text";
import type { Item } from "./definition";

/** What a field of an item is called on the page. */
const NAMES: Record<string, string> = {
  accept: "accepted",
  reject: "known wrong answer",
  key: "key",
  options: "option",
  credits: "credit",
  penalty: "penalty",
  parts: "blank",
  left: "thing to match",
  right: "thing to match with",
  tokens: "step",
  regions: "place",
  circle: "circle",
  rect: "rectangle",
  polygon: "polygon",
  source: "faulty sentence",
  start: "line to start from",
  variables: "letters",
  standards: "standard",
  examples: "example",
  rubric: "rubric",
  criteria: "criterion",
  levels: "level",
  pattern: "pattern",
  value: "value",
  within: "tolerance",
  from: "from",
  to: "to",
  unit: "unit",
  figures: "significant figures",
  words: "word limit",
  mastery: "Mastered from",
  points: "points",
  weight: "weight",
  spellingCredit: "credit with a slip",
  formCredit: "credit in another form",
  max: "How many may be chosen",
  body: "what is asked",
  prompt: "what is asked",
  picture: "picture",
  difficulty: "expected mean",
  minutes: "minutes",
};

/** A place inside an item in words: `accept[0].pattern` is "accepted 1, pattern". */
export function placeInWords(path: string): string {
  return path
    .split(".")
    .filter((step) => step !== "")
    .map((step) => {
      const [, name = step, index] = /^([^[]*)(?:\[(\d+)])?/.exec(step) ?? [];
      const words = t(NAMES[name] ?? name);
      return index === undefined ? words : `${words} ${Number(index) + 1}`;
    })
    .join(", ");
}

/** A place inside a key in words, with the number that the question has on the paper. */
export function placeOnPaper(path: string, items: Item[]): string {
  const [, index, inside = ""] = /^items\[(\d+)]\.?(.*)$/.exec(path) ?? [];
  if (index === undefined) {
    return placeInWords(path);
  }
  const at = Number(index);
  const asked = items.slice(0, at + 1).filter((i) => i.kind !== "passage").length;
  const name = items[at]?.kind === "passage" ? t("reading passage") : t("question {{n}}", { n: asked });
  return [name, placeInWords(inside)].filter((words) => words !== "").join(", ");
}

const BEGINNINGS =
  /^(key|accept|parts|left|right|tokens|regions|options|source|start|prompt|body|points|picture)$/;

/**
 * Whether something that was typed is wrong, so that it is said where it was typed; what is only missing yet is said in
 * the margin.
 */
export const isTyped = (path: string): boolean =>
  !BEGINNINGS.test(path) && !/^(rubric|mastery|standards)/.test(path);
