// @vitest-environment node
import { beforeEach, describe, expect, it, vi } from "vitest";
import { typedStore } from "./typed";

const kept = new Map<string, string>();
vi.stubGlobal("localStorage", {
  getItem: (k: string) => kept.get(k) ?? null,
  setItem: (k: string, v: string) => kept.set(k, v),
  removeItem: (k: string) => kept.delete(k),
});
beforeEach(() => kept.clear());

describe("what is typed and not sent", () => {
  it("is there again for whoever typed it, and for nobody else", () => {
    typedStore<string>("aud", "reply").keep("So.");
    expect(typedStore<string>("aud", "reply").read()).toBe("So.");
    expect(typedStore<string>("halvard", "reply").read()).toBeNull();
    expect(typedStore<string>("aud", "other").read()).toBeNull();
  });
  it("goes away when it is sent", () => {
    const store = typedStore<{ a: number }>("aud", "reading");
    store.keep({ a: 1 });
    store.keep(null);
    expect(store.read()).toBeNull();
    expect(kept.size).toBe(0);
  });
  it("is nothing when what lies there cannot be read", () => {
    kept.set("typed:aud:x", "{broken");
    expect(typedStore("aud", "x").read()).toBeNull();
  });
});
