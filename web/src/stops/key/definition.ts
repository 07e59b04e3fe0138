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

export type Item = {
  id: string;
  kind: "choice" | "text" | "number" | "open" | "passage";
  points?: string;
  part?: string;
  prompt?: string;
  standards?: Aligned[];
  options?: { id: string; text: string }[];
  key?: string[];
  max?: number;
  rule?: string;
  credits?: Record<string, string>;
  penalty?: string;
  accept?: (Accepted & Band)[];
  reject?: { text: string; note?: string }[];
  ignore?: string[];
  spelling?: string;
  otherwise?: string;
  unit?: { expect: string; convert?: boolean; missing?: string; wrong?: string };
  figures?: { count: number; otherwise?: string };
  rubric?: { criteria: Criterion[] };
  words?: { min?: number; max?: number };
};

export type Definition = {
  format: string;
  title: string;
  items: Item[];
  grading?: { pass?: string; bands?: { from: string; label: string; message?: string }[] };
};

export type FrameworkFile = {
  id: string;
  title: string;
  version: string;
  standards: { code: string; parent?: string; text: string }[];
};

export const KIND_NAMES: Record<string, string> = {
  choice: "choice",
  text: "short text",
  number: "number",
  open: "open",
  passage: "reading passage",
};

export function kindName(item: Item): string {
  return item.kind === "choice" && (item.max ?? 1) > 1
    ? "choice, several"
    : (KIND_NAMES[item.kind] ?? item.kind);
}

/** A new item of a kind, with an id that is free and the least that it needs. */
export function newItem(kind: Item["kind"], items: Item[]): Item {
  let n = items.length + 1;
  while (items.some((i) => i.id === `q${n}`)) {
    n++;
  }
  const head = { id: `q${n}`, kind, points: "1", prompt: "" };
  switch (kind) {
    case "choice":
      return { ...head, options: ["a", "b", "c", "d"].map((id) => ({ id, text: "" })), key: [] };
    case "text":
      return { ...head, accept: [], ignore: ["case", "space", "articles", "marks"], spelling: "length" };
    case "number":
      return { ...head, accept: [] };
    case "open":
      return { ...head, points: "4", rubric: { criteria: [newCriterion([])] } };
    case "passage":
      return { id: head.id, kind, prompt: "" };
  }
}

export function newCriterion(others: Criterion[]): Criterion {
  let n = others.length + 1;
  while (others.some((c) => c.id === `c${n}`)) {
    n++;
  }
  const levels = ["", "", ""].map((text, i) => ({ id: String(i), points: String(i), text }));
  return { id: `c${n}`, title: "", weight: "1", levels };
}

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
    case "open":
      return item.rubric ? `${item.rubric.criteria.length} criteria` : "by hand";
    default:
      return filedKeyInShort(item);
  }
}

/** Kinds whose key comes from a file: what there is of it, in a few words. */
function filedKeyInShort(item: Item): string {
  const filed = item as unknown as { accept?: unknown[]; key?: unknown[]; parts?: unknown[] };
  const first = filed.accept?.[0];
  if (typeof first === "string") {
    return first;
  }
  const n = filed.key?.length ?? filed.parts?.length;
  return n === undefined
    ? "–"
    : `${n} ${filed.parts ? "blanks" : (item.kind as string) === "pairs" ? "pairs" : "in order"}`;
}

/** Whether there is an editor for its key on this page; the others come from an assessment file. */
export function hasEditor(item: Item): boolean {
  return ["choice", "text", "number", "open", "passage"].includes(item.kind);
}

/** Whether an answer to it is typed as one text. */
export function isTyped(item: Item): boolean {
  return hasEditor(item) || ["formula", "correction"].includes(item.kind as string);
}

export function letterOf(item: Item, optionId: string): string {
  const at = (item.options ?? []).findIndex((o) => o.id === optionId);
  return at < 0 ? optionId : String.fromCharCode(65 + at);
}
