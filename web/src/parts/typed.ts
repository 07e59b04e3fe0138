import { useQueryClient } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import type { Schemas } from "../api/client";

/** What somebody typed and has not sent, on this device; for them alone, and until it is sent or taken back. */
export type Typed<T> = { read: () => T | null; keep: (value: T | null) => void };

export function typedStore<T>(person: string, name: string, storage: Storage = localStorage): Typed<T> {
  const key = `typed:${person}:${name}`;
  return {
    read: () => {
      try {
        return JSON.parse(storage.getItem(key) ?? "null") as T | null;
      } catch {
        return null;
      }
    },
    keep: (value) => {
      try {
        value === null ? storage.removeItem(key) : storage.setItem(key, JSON.stringify(value));
      } catch {
        // A device without room keeps nothing; what is typed still stands on the page.
      }
    },
  };
}

export function useTypedStore<T>(name: string, storage?: Storage): Typed<T> {
  const person = useQueryClient().getQueryData<Schemas["Session"]>(["session"])?.id ?? "";
  return useMemo(() => typedStore<T>(person, name, storage), [person, name, storage]);
}

/** A state that stays on this device, or in this window, until it is again what it was at first. */
export function useTyped<T>(name: string, first: T, storage?: Storage): [T, (next: T) => void] {
  const store = useTypedStore<T>(name, storage);
  const [value, setValue] = useState(() => store.read() ?? first);
  const change = (next: T) => {
    store.keep(next === first ? null : next);
    setValue(next);
  };
  return [value, change];
}
