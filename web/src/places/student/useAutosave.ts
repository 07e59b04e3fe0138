import { useEffect, useRef, useState } from "react";
import { api, ok, Problem } from "../../api/client";

export type Said = { answer: unknown; flagged: boolean; at?: number };
type Waiting = Record<string, Said>;

const PAUSE = 500;
const AGAIN = 3_000;

const secondsSince = (at: number | undefined) =>
  at === undefined ? 0 : Math.max(0, Math.round((Date.now() - at) / 1_000));

/** What the server does not take stays on the device as well: nothing goes away before the server has it. */
function keepRefused(attempt: string, item: string, said: Said) {
  const store = `refused:${attempt}`;
  const before = JSON.parse(localStorage.getItem(store) ?? "{}") as Waiting;
  localStorage.setItem(store, JSON.stringify({ ...before, [item]: said }));
}

/** The attempts of which something is still on this device. */
export function leftBehind(): string[] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith("unsent:") && localStorage.getItem(key) !== "{}")
    .map((key) => key.slice("unsent:".length));
}

/**
 * Saves answers by themselves and says truly what is safe. What the server has not acknowledged is kept on this device,
 * also through a reload, and sent again as soon as the connection is back.
 */
export function useAutosave(attempt: string) {
  const store = `unsent:${attempt}`;
  const waiting = useRef<Waiting>(JSON.parse(localStorage.getItem(store) ?? "{}"));
  const [unsent, setUnsent] = useState(Object.keys(waiting.current).length);
  const [savedAt, setSavedAt] = useState<number>();
  const [offline, setOffline] = useState(false);
  const [refused, setRefused] = useState<Problem>();
  const [late, setLate] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const sending = useRef<Promise<void>>(undefined);

  const remember = () => {
    localStorage.setItem(store, JSON.stringify(waiting.current));
    setUnsent(Object.keys(waiting.current).length);
  };

  const sendAll = async () => {
    for (const [item, said] of Object.entries(waiting.current)) {
      try {
        const saved = await ok(
          api.PUT("/api/student/attempts/{attempt}/answers/{item}", {
            params: { path: { attempt, item } },
            body: { answer: said.answer, flagged: said.flagged, secondsAgo: secondsSince(said.at) },
          }),
        );
        // Only what was sent is done with; a later change of the same item still waits.
        if (waiting.current[item] === said) {
          delete waiting.current[item];
        }
        setLate((before) => before || saved.late);
        setSavedAt(Date.now());
        setOffline(false);
      } catch (error) {
        if (error instanceof Problem && error.status === 404) {
          // Somebody else's, who used this device before: it waits for them.
          setRefused(error);
          return;
        }
        if (error instanceof Problem && error.status < 500 && error.status !== 401) {
          keepRefused(attempt, item, said);
          delete waiting.current[item];
          setRefused(error);
        } else {
          setOffline(true);
          later(AGAIN);
          remember();
          return;
        }
      }
      remember();
    }
    if (Object.keys(waiting.current).length > 0) {
      later(0);
    }
  };

  const send = () => {
    sending.current ??= sendAll().finally(() => {
      sending.current = undefined;
    });
    return sending.current;
  };

  const later = (pause: number) => {
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void send(), pause);
  };

  // biome-ignore lint/correctness/useExhaustiveDependencies: what was left from before is sent once
  useEffect(() => {
    if (Object.keys(waiting.current).length > 0) {
      later(0);
    }
    const back = () => later(0);
    const leave = (e: BeforeUnloadEvent) => {
      if (Object.keys(waiting.current).length > 0) {
        e.preventDefault();
      }
    };
    window.addEventListener("online", back);
    window.addEventListener("beforeunload", leave);
    return () => {
      clearTimeout(timer.current);
      window.removeEventListener("online", back);
      window.removeEventListener("beforeunload", leave);
    };
  }, []);

  return {
    unsent,
    savedAt,
    offline,
    refused,
    /** Something of it came when the time was over; the teacher decides whether it counts. */
    late,
    /** What is still unsent from before, to be shown over what the server has. */
    kept: waiting.current,
    say(item: string, said: Said) {
      waiting.current = { ...waiting.current, [item]: { ...said, at: Date.now() } };
      remember();
      later(PAUSE);
    },
    /** Sends what waits and says whether everything is safe. */
    async flush(): Promise<boolean> {
      clearTimeout(timer.current);
      await send();
      return Object.keys(waiting.current).length === 0;
    },
  };
}
