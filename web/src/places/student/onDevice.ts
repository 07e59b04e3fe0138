/** What is said, and when it was written (milliseconds). */
export type Said = { answer: unknown; flagged: boolean; at?: number };
export type Waiting = Record<string, Said>;

/** This window, as long as its page is open. Each keeps what it has not sent under a name of its own. */
export const WINDOW = crypto.randomUUID();

const name = (attempt: string, window: string) => `unsent:${attempt}:${window}`;

const read = (key: string): Waiting => JSON.parse(localStorage.getItem(key) ?? "{}");

const keysOf = (attempt: string) =>
  Object.keys(localStorage).filter((key) => key.startsWith(name(attempt, "")));

/** What any window has left unsent; of two answers to one item the later. */
export function unsentOf(attempt: string): Waiting {
  const all: Waiting = {};
  for (const key of keysOf(attempt)) {
    for (const [item, said] of Object.entries(read(key))) {
      if ((said.at ?? 0) >= (all[item]?.at ?? 0)) {
        all[item] = said;
      }
    }
  }
  return all;
}

export function keep(attempt: string, waiting: Waiting) {
  localStorage.setItem(name(attempt, WINDOW), JSON.stringify(waiting));
}

/** The server has this, or it is kept elsewhere: what windows that are gone have left of it, and nothing newer, can go. */
export function isSafe(attempt: string, item: string, said: Said) {
  for (const key of keysOf(attempt)) {
    const { [item]: left, ...others } = read(key);
    if (left && key !== name(attempt, WINDOW) && (left.at ?? 0) <= (said.at ?? 0)) {
      localStorage.setItem(key, JSON.stringify(others));
    }
  }
}

/** What the server does not take stays on the device as well: nothing goes away before the server has it. */
export function keepRefused(attempt: string, item: string, said: Said) {
  const store = `refused:${attempt}`;
  localStorage.setItem(store, JSON.stringify({ ...read(store), [item]: said }));
}

/** The attempts of which something is still on this device. */
export function leftBehind(): string[] {
  const attempts = Object.keys(localStorage)
    .filter((key) => key.startsWith("unsent:") && localStorage.getItem(key) !== "{}")
    .map((key) => key.split(":")[1] ?? "");
  return [...new Set(attempts)];
}
