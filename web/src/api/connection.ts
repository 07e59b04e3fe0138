import { useSyncExternalStore } from "react";

/**
 * Whether the server can be reached, and whether one is still signed in: what every request shows by the way.
 *
 * `signedOut` is only said of somebody who was signed in when the page was opened.
 */
export type Connection = { offline: boolean; signedOut: boolean };

const PING = 2_000;

let state: Connection = { offline: false, signedOut: false };
const listeners = new Set<() => void>();
let pinging: ReturnType<typeof setInterval> | undefined;

function set(next: Partial<Connection>) {
  const before = state;
  state = { ...state, ...next };
  if (before.offline === state.offline && before.signedOut === state.signedOut) {
    return;
  }
  if (state.offline) {
    pinging ??= setInterval(ping, PING);
  } else {
    clearInterval(pinging);
    pinging = undefined;
  }
  for (const tell of listeners) {
    tell();
  }
}

function ping() {
  fetch("/api/session", { cache: "no-store" }).then(
    () => set({ offline: false }),
    () => set({ offline: true }),
  );
}

/** What the answer to a request tells, or that there was none. */
export const connection = {
  answered: (status: number, path: string) =>
    set({ offline: false, ...(status === 401 && path !== "/api/session" ? { signedOut: true } : {}) }),
  failed: () => set({ offline: true }),
  signedInAgain: () => set({ signedOut: false }),
  now: () => state,
  subscribe(listener: () => void) {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

if (typeof window !== "undefined") {
  window.addEventListener("offline", () => connection.failed());
  window.addEventListener("online", ping);
}

export const useConnection = (): Connection => useSyncExternalStore(connection.subscribe, connection.now);
