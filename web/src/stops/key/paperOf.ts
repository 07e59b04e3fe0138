import type { Schemas } from "../../api/client";
import type { Item, Named } from "./definition";

type PaperItem = Schemas["PaperItem"];

const named = (all: Named[] | undefined) => (all ?? []).map((n) => ({ id: n.id, text: n.text }));

/** An item as a student would see it, so that its author can answer it in the same field. */
export function paperOf(item: Item): PaperItem {
  return {
    id: item.id,
    number: 1,
    part: item.part ?? null,
    kind: item.kind,
    prompt: item.prompt ?? "",
    points: item.points ?? "1",
    options: named(item.kind === "order" ? backwards(item.tokens) : item.options),
    max: item.kind === "choice" ? (item.max ?? 1) : 0,
    withUnit: item.unit !== undefined,
    minWords: item.words?.min ?? null,
    maxWords: item.words?.max ?? null,
    given: item.start ?? item.source ?? "",
    left: named(item.left),
    right: named(item.right),
    perLeft: item.kind === "pairs" ? (item.perLeft ?? 1) : 0,
    parts: (item.parts ?? []).map(paperOf),
    body: item.body ?? "",
    picture: item.picture?.file ?? "",
    alt: item.picture?.alt ?? "",
    hint: item.hint ?? "",
    stem: item.stem ?? null,
    reasonFor: item.reasonFor ?? null,
    criteria: [],
    attachments: item.attachments ?? 0,
  };
}

/** The steps in the order of the key would answer themselves. */
function backwards(tokens: Named[] | undefined): Named[] {
  return [...(tokens ?? [])].reverse();
}
