import { useCallback, useEffect, useRef } from "react";
import { api, ok, Problem } from "../../api/client";

const AGAIN_MS = 15_000;

/** Tells the server which question was reached, where there is no way back; without a connection it is told later. */
export function useReached(attempt: string, flush: () => Promise<boolean>) {
  const untold = useRef<string | null>(null);
  const save = useRef(flush);
  save.current = flush;
  const tell = useCallback(async () => {
    const item = untold.current;
    // What is written is safe before the way to it closes.
    if (item === null || !(await save.current())) {
      return;
    }
    const isTold = await ok(
      api.POST("/api/student/attempts/{attempt}/reached", { params: { path: { attempt } }, body: { item } }),
    ).then(
      () => true,
      // What was refused is refused the next time as well.
      (e: unknown) => e instanceof Problem && e.status >= 400 && e.status < 500,
    );
    if (isTold && untold.current === item) {
      untold.current = null;
    }
  }, [attempt]);
  useEffect(() => {
    const again = () => void tell();
    const timer = setInterval(again, AGAIN_MS);
    window.addEventListener("online", again);
    return () => {
      clearInterval(timer);
      window.removeEventListener("online", again);
    };
  }, [tell]);
  return useCallback(
    (item: string) => {
      untold.current = item;
      return tell();
    },
    [tell],
  );
}
