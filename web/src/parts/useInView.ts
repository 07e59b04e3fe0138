import { useEffect, useRef } from "react";

/** A row that is reached from the keyboard is brought into view. */
export function useInView<T extends HTMLElement>(here: boolean) {
  const row = useRef<T>(null);
  useEffect(() => {
    here && row.current?.scrollIntoView({ block: "nearest" });
  }, [here]);
  return row;
}
