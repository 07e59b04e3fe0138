import { useEffect, useState } from "react";

/** A value that has stayed the same for so many milliseconds: what is asked of the server while somebody types. */
export function useSettled<T>(value: T, wait = 300): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), wait);
    return () => clearTimeout(timer);
  }, [value, wait]);
  return settled;
}
