// @vitest-environment node
import { beforeEach, describe, expect, it, vi } from "vitest";

vi.mock("react", () => {
  // One render is enough: the hook's own state is looked at through what it returns and stores.
  return {
    useState: <T>(first: T) => [first, () => undefined],
    useRef: <T>(first: T) => ({ current: first }),
    useEffect: () => undefined,
  };
});
const put = vi.fn();
vi.mock("../../api/client", () => {
  class Problem extends Error {
    constructor(readonly status: number) {
      super("refused");
    }
  }
  return { api: { PUT: (...args: unknown[]) => put(...args) }, ok: (p: Promise<unknown>) => p, Problem };
});

const kept = new Map<string, string>();
vi.stubGlobal("localStorage", {
  getItem: (k: string) => kept.get(k) ?? null,
  setItem: (k: string, v: string) => kept.set(k, v),
});

const { useAutosave } = await import("./useAutosave");
const { Problem } = await import("../../api/client");
const unsent = () => JSON.parse(kept.get("unsent:a1") ?? "{}");

beforeEach(() => {
  kept.clear();
  put.mockReset();
});

describe("answers are safe before they are called saved", () => {
  it("keeps an answer on the device until the server has acknowledged it", async () => {
    put.mockResolvedValue({ savedAt: "now" });
    const saver = useAutosave("a1");
    saver.say("q1", { answer: "ebb", flagged: false });
    expect(unsent()).toEqual({ q1: { answer: "ebb", flagged: false } });
    expect(await saver.flush()).toBe(true);
    expect(unsent()).toEqual({});
    expect(put).toHaveBeenCalledTimes(1);
  });
  it("keeps everything when the connection is gone, and says so", async () => {
    put.mockRejectedValue(new TypeError("failed to fetch"));
    const saver = useAutosave("a1");
    saver.say("q1", { answer: "ebb", flagged: false });
    saver.say("q2", { answer: "flood", flagged: true });
    expect(await saver.flush()).toBe(false);
    expect(Object.keys(unsent())).toEqual(["q1", "q2"]);
    put.mockResolvedValue({});
    expect(await saver.flush()).toBe(true);
    expect(unsent()).toEqual({});
  });
  it("sends what was left from before a reload", async () => {
    kept.set("unsent:a1", JSON.stringify({ q9: { answer: "left", flagged: false } }));
    put.mockResolvedValue({});
    const saver = useAutosave("a1");
    expect(saver.kept).toHaveProperty("q9");
    expect(await saver.flush()).toBe(true);
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { answer: "left" } });
  });
  it("does not try again what the server refuses for good", async () => {
    put.mockRejectedValue(new (Problem as unknown as new (s: number) => Error)(422));
    const saver = useAutosave("a1");
    saver.say("q1", { answer: "x", flagged: false });
    expect(await saver.flush()).toBe(true);
    expect(unsent()).toEqual({});
  });
  it("keeps a change that was made while an older one was on its way", async () => {
    const saver = useAutosave("a1");
    let release: (v: unknown) => void = () => undefined;
    put.mockImplementationOnce(() => new Promise((r) => (release = r))).mockResolvedValue({});
    saver.say("q1", { answer: "old", flagged: false });
    const sending = saver.flush();
    saver.say("q1", { answer: "new", flagged: false });
    release({});
    await sending;
    expect(unsent()).toEqual({ q1: { answer: "new", flagged: false } });
    expect(await saver.flush()).toBe(true);
    expect(put.mock.calls.at(-1)?.[1]).toMatchObject({ body: { answer: "new" } });
  });
});
