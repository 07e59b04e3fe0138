/** Changes that can be taken back and made again. An edit is one step, however many letters it had. */
export type History<T> = { past: T[]; future: T[]; field: unknown; at: number };

/** Letters in one field that follow each other within this time are one edit. */
export const STILL = 1_500;
const STEPS = 200;

export const none = <T>(): History<T> => ({ past: [], future: [], field: null, at: 0 });

/**
 * Before a change: what was there becomes a step, unless the change goes on in the same field.
 *
 * @param field the text field that is typed in; null for a choice, a button or a key, each of which is an edit
 */
export function changing<T>(h: History<T>, before: T, field: unknown, now: number): History<T> {
  const goesOn = field !== null && field === h.field && now - h.at < STILL && h.past.length > 0;
  return {
    past: goesOn ? h.past : [...h.past.slice(-STEPS), before],
    future: [],
    field,
    at: now,
  };
}

export function undone<T>(h: History<T>, current: T): [History<T>, T] | null {
  const before = h.past.at(-1);
  return before === undefined
    ? null
    : [{ past: h.past.slice(0, -1), future: [...h.future, current], field: null, at: 0 }, before];
}

export function redone<T>(h: History<T>, current: T): [History<T>, T] | null {
  const after = h.future.at(-1);
  return after === undefined
    ? null
    : [{ past: [...h.past, current], future: h.future.slice(0, -1), field: null, at: 0 }, after];
}
