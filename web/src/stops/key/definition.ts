/** The assessment file as the key is edited. Exact numbers are strings; unknown kinds are kept as they are. */
export type Aligned = { code: string; weight?: string };

export type Accepted = {
  text?: string;
  pattern?: string;
  words?: { all?: string[]; any?: string[]; none?: string[] };
  credit?: string;
  note?: string;
};
export type Band = { value?: string; within?: string; from?: string; to?: string; credit?: string };
export type Level = { id: string; points: string; text: string };
export type Criterion = {
  id: string;
  title: string;
  weight?: string;
  levels: Level[];
  standards?: Aligned[];
};

export type Rubric = { criteria: Criterion[] };

export type Kind =
  | "choice"
  | "text"
  | "number"
  | "blanks"
  | "pairs"
  | "order"
  | "spot"
  | "correction"
  | "formula"
  | "working"
  | "open"
  | "passage";

export type Named = { id: string; text: string };
export type Region = {
  id: string;
  circle?: string[];
  rect?: string[];
  polygon?: string[][];
};
export type Example = { answer: unknown; credit?: string; state?: "waits" };
export type Feedback = { right?: string; partial?: string; wrong?: string };

/** An item as it is edited: the fields of all kinds, of which its own kind has some. */
export type Item = {
  id: string;
  kind: Kind;
  points?: string;
  part?: string;
  prompt?: string;
  standards?: Aligned[];
  options?: Named[];
  key?: string[];
  max?: number;
  rule?: string;
  credits?: Record<string, string>;
  penalty?: string;
  accept?: (Accepted & Band)[];
  reject?: { text: string; note?: string }[];
  ignore?: string[];
  spelling?: string;
  spellingCredit?: string;
  otherwise?: string;
  several?: string;
  unit?: { expect: string; convert?: boolean; missing?: string; wrong?: string };
  figures?: { count: number; otherwise?: string };
  decimal?: string;
  rubric?: Rubric;
  words?: { min?: number; max?: number };
  mastery?: string;
  attachments?: number;
  weight?: string;
  parts?: Item[];
  anyOrder?: string[][];
  left?: Named[];
  right?: Named[];
  perLeft?: number;
  perRight?: number;
  tokens?: Named[];
  regions?: Region[];
  aspect?: string;
  source?: string;
  start?: string;
  variables?: string[];
  form?: string;
  formCredit?: string;
  steps?: string;
  result?: string;
  followThrough?: boolean;
  body?: string;
  picture?: { file: string; alt: string };
  feedback?: Feedback;
  hint?: string;
  tags?: string[];
  difficulty?: string;
  minutes?: string;
  stem?: string;
  reasonFor?: string;
  last?: string[];
  rubricShown?: boolean;
  rubricKept?: { id: string; version: number };
  examples?: Example[];
  draw?: string;
};

export type Part = { id: string; title: string; weight?: string; best?: number; instructions?: string };
export type Drawn = {
  id: string;
  take: number;
  quotas?: { code: string; take: number }[];
  difficulty?: string;
  each?: "sitting" | "student";
};
export type Trial = { name: string; answers: Record<string, unknown> };
export type Award = { id: string; title: string; from: string; words?: string };
export type Grading = {
  percentDigits?: number;
  negativeTotals?: boolean;
  late?: { perDay?: string; cap?: string };
  curve?: Record<string, unknown>[];
  attempts?: string;
  bands?: { from: string; label: string; message?: string }[];
  pass?: string;
};

export type Definition = {
  format: string;
  title: string;
  items: Item[];
  parts?: Part[];
  grading?: Grading;
  shuffle?: { items?: boolean; options?: boolean };
  draws?: Drawn[];
  trials?: Trial[];
  awards?: Award[];
  adjustments?: { item: string; do: string }[];
  questions?: { file: string; name: string; type: string }[];
};

export type FrameworkFile = {
  id: string;
  title: string;
  version: string;
  standards: { code: string; parent?: string; text: string }[];
};

export const KIND_NAMES: Record<Kind, string> = {
  choice: "choice",
  text: "short text",
  number: "number",
  blanks: "blanks",
  pairs: "matching",
  order: "order",
  spot: "on a picture",
  correction: "correction",
  formula: "formula",
  working: "working",
  open: "open",
  passage: "reading passage",
};

export function kindName(item: Item): string {
  return item.kind === "choice" && (item.max ?? 1) > 1 ? "choice of several" : KIND_NAMES[item.kind];
}

/** Lines of mathematics or sentences that are accepted, of the kinds whose key is a list of them. */
export const linesOf = (item: Item): string[] => (item.accept as unknown as string[] | undefined) ?? [];

export function withLines(item: Item, lines: string[]): Item {
  return { ...item, accept: lines as unknown as NonNullable<Item["accept"]> };
}

/** The keyed pairs of a matching item. */
export const pairsOf = (item: Item): string[][] => (item.key as unknown as string[][] | undefined) ?? [];

export function withPairs(item: Item, pairs: string[][]): Item {
  return { ...item, key: pairs as unknown as string[] };
}

/** An item without a field; a field that is not there takes its usual value. */
export function without<T extends object, K extends keyof T>(from: T, name: K): T {
  const { [name]: _, ...rest } = from;
  return rest as T;
}

/** The field set, or taken off where nothing is given. */
export function put<T extends object, K extends keyof T>(on: T, name: K, value: T[K] | undefined): T {
  const empty = value === undefined || value === "" || (Array.isArray(value) && value.length === 0);
  return empty ? without(on, name) : { ...on, [name]: value };
}

/** An id of a list that is free, such as b3. */
export function freeId(prefix: string, taken: { id: string }[]): string {
  let n = taken.length + 1;
  while (taken.some((o) => o.id === `${prefix}${n}`)) {
    n++;
  }
  return `${prefix}${n}`;
}

/** An id for one more option: the first letter that is free. */
export function freeLetter(options: { id: string }[]): string {
  const used = new Set(options.map((o) => o.id));
  return [..."abcdefghijklmnopqrstuvwxyz"].find((c) => !used.has(c)) ?? freeId("o", options);
}

/** Items from elsewhere at the end of a key: ids that are taken become free ones, and what leads to them follows. */
export function appended(d: Definition, added: Item[]): { definition: Definition; ids: string[] } {
  const items = [...d.items];
  const renamed = new Map<string, string>();
  const part = d.parts?.at(-1)?.id;
  for (const item of added) {
    const id = items.some((i) => i.id === item.id) ? freeId("q", items) : item.id;
    renamed.set(item.id, id);
    items.push({ ...item, id, ...(part && item.kind !== "passage" ? { part } : {}) });
  }
  const follow = (i: Item) => put(put(i, "stem", to(i.stem)), "reasonFor", to(i.reasonFor));
  const to = (id: string | undefined) => (id ? (renamed.get(id) ?? id) : undefined);
  return {
    definition: { ...d, items: items.map((i, n) => (n < d.items.length ? i : follow(i))) },
    ids: [...renamed.values()],
  };
}

/** What an item of a kind begins with: the least that it needs. */
const BEGINNINGS: Record<Kind, () => Partial<Item>> = {
  choice: () => ({ options: ["a", "b", "c", "d"].map((id) => ({ id, text: "" })), key: [] }),
  text: () => ({ accept: [], ignore: ["case", "space", "articles", "marks"], spelling: "length" }),
  number: () => ({ accept: [] }),
  blanks: () => ({ points: "2", parts: [] }),
  pairs: () => ({ points: "2", left: [], right: [], key: [] }),
  order: () => ({ points: "2", tokens: [], key: [], rule: "couples" }),
  spot: () => ({ regions: [], key: [] }),
  correction: () => ({ source: "", accept: [] }),
  formula: () => ({ accept: [], variables: ["x"] }),
  working: () => ({ points: "2", start: "", accept: [], variables: ["x"] }),
  open: () => ({ points: "4", rubric: { criteria: [newCriterion([])] } }),
  passage: () => ({}),
};

export function newItem(kind: Kind, items: Item[]): Item {
  const head: Item = { id: freeId("q", items), kind, prompt: "" };
  return kind === "passage" ? head : { ...head, points: "1", ...BEGINNINGS[kind]() };
}

export function newCriterion(others: Criterion[]): Criterion {
  const levels = ["", "", ""].map((text, i) => ({ id: String(i), points: String(i), text }));
  return { id: freeId("c", others), title: "", weight: "1", levels };
}

/** What a rubric is, in a few words. */
export const rubricInShort = (rubric: Rubric): string =>
  isScale(rubric) ? "one scale" : counted(rubric.criteria.length, "criterion", "criteria");

/** A rubric of one criterion without a name is a single scale. */
export const isScale = (rubric: Rubric): boolean =>
  rubric.criteria.length === 1 && !rubric.criteria[0]?.title;

/** What the key of an item is, in a few words for its row. */
export function keyInShort(item: Item): string {
  switch (item.kind) {
    case "choice":
      return (item.key ?? [])
        .map((k) => letterOf(item, k))
        .sort()
        .join(" ");
    case "text": {
      const [first, ...more] = (item.accept ?? []).map((a) => a.text ?? a.pattern ?? "words");
      return first ? first + (more.length > 0 ? ` + ${more.length}` : "") : "";
    }
    case "number": {
      const first = item.accept?.[0];
      return first
        ? (first.value ?? `${first.from} – ${first.to}`) + (first.within ? ` ± ${first.within}` : "")
        : "";
    }
    case "blanks":
      return (item.parts ?? []).map(keyInShort).join(", ");
    case "pairs":
      return counted(pairsOf(item).length, "pair");
    case "order":
      return counted(item.key?.length ?? 0, "step");
    case "spot":
      return counted(item.key?.length ?? 0, "place");
    case "open":
      return item.rubric ? rubricInShort(item.rubric) : "by hand";
    case "passage":
      return "–";
    default:
      return linesOf(item)[0] ?? "";
  }
}

function counted(n: number, one: string, many = `${one}s`): string {
  return n === 0 ? "" : `${n} ${n === 1 ? one : many}`;
}

/** The letter that an option goes by: its own where options are letters alone, else its place. */
export function letterOf(item: Item, optionId: string): string {
  const options = item.options ?? [];
  const at = options.findIndex((o) => o.id === optionId);
  if (at < 0) {
    return optionId;
  }
  return isLetters(item) ? (options[at]?.text ?? "") : String.fromCharCode(65 + at);
}

/** Whether the questions are on paper, so that an option is nothing but its letter or true and false. */
export function isLetters(item: Item): boolean {
  const options = item.options ?? [];
  return (
    options.length > 0 &&
    options.every((o) => /^[A-Z]$/.test(o.text)) &&
    options.every((o) => o.id === o.text.toLowerCase())
  );
}
