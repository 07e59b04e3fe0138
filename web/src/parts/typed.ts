import { useQueryClient } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import type { Schemas } from "../api/client";

/** What somebody typed and has not sent, on this device; for them alone, and until it is sent or taken back. */
export type Typed<T> = { read: () => T | null; keep: (value: T | null) => void };

export function typedStore<T>(person: string, name: string): Typed<T> {
  const key = `typed:${person}:${name}`;
  return {
    read: () => {
      try {
        return JSON.parse(localStorage.getItem(key) ?? "null") as T | null;
      } catch {
        return null;
      }
    },
    keep: (value) =>
      value === null ? localStorage.removeItem(key) : localStorage.setItem(key, JSON.stringify(value)),
  };
}

export function useTypedStore<T>(name: string): Typed<T> {
  const person = useQueryClient().getQueryData<Schemas["Session"]>(["session"])?.id ?? "";
  return useMemo(() => typedStore<T>(person, name), [person, name]);
}

/** A text that stays on this device until it is sent. */
export function useTypedText(name: string): [string, (next: string) => void] {
  const store = useTypedStore<string>(name);
  const [text, setText] = useState(() => store.read() ?? "");
  const change = (next: string) => {
    store.keep(next === "" ? null : next);
    setText(next);
  };
  return [text, change];
}
