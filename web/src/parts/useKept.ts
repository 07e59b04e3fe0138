import { useState } from "react";

/** A state that survives loading the page again, in this window. */
export function useKept<T>(name: string, first: T): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      return JSON.parse(sessionStorage.getItem(name) ?? "null") ?? first;
    } catch {
      return first;
    }
  });
  const keep = (next: T) => {
    sessionStorage.setItem(name, JSON.stringify(next));
    setValue(next);
  };
  return [value, keep];
}
