import { useEffect, useState } from "react";
import { ahead } from "../../../places/student/clock/warnings";

/** The server's clock, second by second, from when it was last heard: what counts is never the device's. */
export function useServerNow(heard: string, heardAt: number): number {
  const [tick, setTick] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setTick(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  return tick + ahead(heard, heardAt);
}
