import { useEffect, useRef, useState } from "react";
import { api, ok, Problem } from "../../api/client";
import { isSafe, keep, keepRefused, type Said, unsentOf, type Waiting, WINDOW } from "./onDevice";

/** What another window of the same student said to an item meanwhile. */
export type OtherWindow = { answer: unknown; flagged: boolean; savedAt: string; place: number };

const PAUSE = 500;
const AGAIN = 3_000;

const secondsSince = (at: number | undefined) =>
  at === undefined ? 0 : Math.max(0, Math.round((Date.now() - at) / 1_000));

/**
 * Saves answers by themselves and says truly what is safe. What the server has not acknowledged is kept on this device,
 * also through a reload, and sent again as soon as the connection is back.
 */
export function useAutosave(attempt: string, places: Record<string, number> = {}) {
  const waiting = useRef<Waiting>(unsentOf(attempt));
  const seen = useRef({ ...places });
  const [others, setOthers] = useState<Record<string, OtherWindow>>({});
  const blocked = useRef(new Set<string>());
  const [unsent, setUnsent] = useState(Object.keys(waiting.current).length);
  const [savedAt, setSavedAt] = useState<number>();
  const [offline, setOffline] = useState(false);
  const [refused, setRefused] = useState<Problem>();
  const [late, setLate] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const sending = useRef<Promise<void>>(undefined);

  const remember = () => {
    keep(attempt, waiting.current);
    setUnsent(Object.keys(waiting.current).length);
  };

  const sendAll = async () => {
    for (const [item, said] of Object.entries(waiting.current)) {
      if (blocked.current.has(item)) {
        continue;
      }
      try {
        const saved = await ok(
          api.PUT("/api/student/attempts/{attempt}/answers/{item}", {
            params: { path: { attempt, item } },
            body: {
              answer: said.answer,
              flagged: said.flagged,
              secondsAgo: secondsSince(said.at),
              window: WINDOW,
              seen: seen.current[item] ?? 0,
            },
          }),
        );
        // Only what was sent is done with; a later change of the same item still waits.
        if (waiting.current[item] === said) {
          delete waiting.current[item];
        }
        seen.current[item] = Math.max(seen.current[item] ?? 0, saved.place);
        isSafe(attempt, item, said);
        setLate((before) => before || saved.late);
        setSavedAt(Date.now());
        setOffline(false);
      } catch (error) {
        if (error instanceof Problem && error.code === "changed-meanwhile") {
          // Another window has said something else: nothing goes over the other until the student has chosen.
          blocked.current.add(item);
          setOthers((before) => ({ ...before, [item]: error.theirs as OtherWindow }));
          continue;
        }
        if (error instanceof Problem && error.status === 404) {
          // Somebody else's, who used this device before: it waits for them.
          setRefused(error);
          return;
        }
        if (error instanceof Problem && error.code === "paused") {
          // It is sent when the teacher lets it go on.
          later(AGAIN);
          remember();
          return;
        }
        if (error instanceof Problem && error.status < 500 && error.status !== 401) {
          keepRefused(attempt, item, said);
          isSafe(attempt, item, said);
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
    if (Object.keys(waiting.current).some((item) => !blocked.current.has(item))) {
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
    /** What another window said to an item, as long as the student has not chosen. */
    others,
    /** Goes on from what another window said; what is said from now on may stand over it. */
    chosen(item: string) {
      const other = others[item];
      if (other) {
        seen.current[item] = other.place;
        blocked.current.delete(item);
        setOthers(({ [item]: _, ...rest }) => rest);
      }
    },
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
