/**
 * The key by which the server knows that a request comes again: it is the same until the request was answered, whatever
 * became of the line in between, so that nothing is made twice by pressing a button again.
 */
const waiting = new Map<string, { key: string; since: number }>();

/** Whoever asks for the same after so long means it anew. */
const LONGEST_MILLIS = 5 * 60_000;

/** What only looks is computed anew each time, and what says a secret is kept nowhere. */
const EACH_TIME =
  /\/(preview|check|find|maths|key-from|sums|trials|proposed|questions-text|password|session|hand-in)$/;

const said = (url: string, body: string) => `${url}\n${body}`;

export function isOnce(url: string): boolean {
  return !EACH_TIME.test(new URL(url).pathname);
}

export function keyOf(url: string, body: string, now = Date.now()): string {
  const known = waiting.get(said(url, body));
  if (known && now - known.since < LONGEST_MILLIS) {
    return known.key;
  }
  const key = crypto.randomUUID();
  waiting.set(said(url, body), { key, since: now });
  return key;
}

/** The server has answered; what it could not do is asked again with the same key. */
export function answered(url: string, body: string, status: number): void {
  if (status < 500) {
    waiting.delete(said(url, body));
  }
}
