/** In which order answers are read, and which of them; the address has it, so that a link leads back. */
export type Pile = {
  order: "USUAL" | "LENGTH" | "LIKENESS" | "SECTION";
  show: "ALL" | "UNREAD" | "HELD" | "DIFFER";
  /** A criterion and its level, such as c1:2. */
  level?: string;
};

export const ALL: Pile = { order: "USUAL", show: "ALL" };

const ORDERS: Pile["order"][] = ["USUAL", "LENGTH", "LIKENESS", "SECTION"];
const SHOWN: Pile["show"][] = ["ALL", "UNREAD", "HELD", "DIFFER"];

export function pileOf(params: URLSearchParams): Pile {
  const order = ORDERS.find((o) => o.toLowerCase() === params.get("order")) ?? "USUAL";
  const show = SHOWN.find((s) => s.toLowerCase() === params.get("show")) ?? "ALL";
  const level = params.get("level");
  return level ? { order, show, level } : { order, show };
}

export function withPile(params: URLSearchParams, pile: Pile): URLSearchParams {
  const next = new URLSearchParams(params);
  const put = (name: string, value: string) => (value ? next.set(name, value) : next.delete(name));
  put("order", pile.order === "USUAL" ? "" : pile.order.toLowerCase());
  put("show", pile.show === "ALL" ? "" : pile.show.toLowerCase());
  put("level", pile.level ?? "");
  next.delete("answer");
  return next;
}

export const isNarrowed = (pile: Pile): boolean => pile.show !== "ALL" || pile.level !== undefined;

/** The place of the answer that an address names, from 0; null where it names none. */
export function placeIn(params: URLSearchParams): number | null {
  const place = Number(params.get("answer"));
  return Number.isInteger(place) && place > 0 ? place - 1 : null;
}

/** Puts a place into the address without going anywhere: who comes back finds the same answer. */
export function keepPlace(place: number): void {
  const url = new URL(location.href);
  url.searchParams.set("answer", String(place + 1));
  history.replaceState(history.state, "", url);
}

/** How the open answers are gone through. */
export type Way = "question" | "student" | "quick" | "how" | "practice";

const WAYS: Way[] = ["question", "student", "quick", "how", "practice"];

export const wayOf = (params: URLSearchParams): Way =>
  WAYS.find((w) => w === params.get("way")) ?? "question";

/** The same question in another way; the place is another one there. */
export function withWay(params: URLSearchParams, way: Way): URLSearchParams {
  const next = withPile(params, ALL);
  way === "question" ? next.delete("way") : next.set("way", way);
  return next;
}

/** Another question, in the same way; the place is another one there. */
export function withQuestion(params: URLSearchParams, item: string): URLSearchParams {
  const next = new URLSearchParams(params);
  next.set("question", item);
  next.delete("answer");
  return next;
}

/** With names, or without; the place is another one then. */
export function withNames(params: URLSearchParams, shown: boolean): URLSearchParams {
  const next = new URLSearchParams(params);
  shown ? next.set("names", "shown") : next.delete("names");
  next.delete("answer");
  return next;
}

/** One answer to a question, by its place among all of them, from 0. */
export function withAnswer(params: URLSearchParams, item: string, place: number): URLSearchParams {
  const next = withQuestion(withWay(params, "question"), item);
  next.set("answer", String(place + 1));
  return next;
}
