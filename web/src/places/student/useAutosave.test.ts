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
// The keys of a storage are its own properties, as in a browser.
vi.stubGlobal(
  "localStorage",
  new Proxy(
    {
      getItem: (k: string) => kept.get(k) ?? null,
      setItem: (k: string, v: string) => kept.set(k, v),
    },
    {
      ownKeys: () => [...kept.keys()],
      getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
    },
  ),
);

const { leftBehind, unsentOf } = await import("./onDevice");
const { useAutosave } = await import("./useAutosave");
const { Problem } = await import("../../api/client");
const refusal = (status: number) => new (Problem as unknown as new (s: number) => Error)(status);
const unsent = () => unsentOf("a1");

beforeEach(() => {
  kept.clear();
  put.mockReset();
  vi.useRealTimers();
});

describe("answers are safe before they are called saved", () => {
  it("keeps an answer on the device until the server has acknowledged it", async () => {
    put.mockResolvedValue({ savedAt: "now" });
    const saver = useAutosave("a1");
    saver.say("q1", { answer: "ebb", flagged: false });
    expect(unsent()).toMatchObject({ q1: { answer: "ebb", flagged: false } });
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
    kept.set("unsent:a1:gone", JSON.stringify({ q9: { answer: "left", flagged: false } }));
    put.mockResolvedValue({});
    const saver = useAutosave("a1");
    expect(saver.kept).toHaveProperty("q9");
    expect(await saver.flush()).toBe(true);
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { answer: "left" } });
    expect(unsent()).toEqual({});
  });
  it("does not try again what the server refuses for good, and keeps it on the device", async () => {
    put.mockRejectedValue(refusal(422));
    const saver = useAutosave("a1");
    saver.say("q1", { answer: "x", flagged: false });
    expect(await saver.flush()).toBe(true);
    expect(unsent()).toEqual({});
    expect(JSON.parse(kept.get("refused:a1") ?? "{}")).toMatchObject({ q1: { answer: "x" } });
  });
  it("leaves what belongs to somebody else who used the device to them", async () => {
    put.mockRejectedValue(refusal(404));
    const saver = useAutosave("a1");
    saver.say("q1", { answer: "x", flagged: false });
    expect(await saver.flush()).toBe(false);
    expect(unsent()).toMatchObject({ q1: { answer: "x" } });
    expect(kept.get("refused:a1")).toBeUndefined();
  });
  it("says how long ago an answer was written that could not be sent at once", async () => {
    vi.useFakeTimers();
    put.mockRejectedValueOnce(new TypeError("failed to fetch")).mockResolvedValue({ late: true });
    const saver = useAutosave("a1");
    saver.say("q1", { answer: "ebb", flagged: false });
    expect(await saver.flush()).toBe(false);
    vi.setSystemTime(Date.now() + 90_000);
    expect(await saver.flush()).toBe(true);
    expect(put.mock.calls.at(-1)?.[1]).toMatchObject({ body: { answer: "ebb", secondsAgo: 90 } });
  });
  it("knows of which attempts something is still on the device", () => {
    kept.set("unsent:a1:x", "{}");
    kept.set("unsent:a2:x", JSON.stringify({ q1: { answer: "left", flagged: false } }));
    expect(leftBehind()).toEqual(["a2"]);
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
    expect(unsent()).toMatchObject({ q1: { answer: "new", flagged: false } });
    expect(await saver.flush()).toBe(true);
    expect(put.mock.calls.at(-1)?.[1]).toMatchObject({ body: { answer: "new" } });
  });
  it("keeps what two windows have not sent, each under its own name, and the later answer to a question wins", () => {
    kept.set(
      "unsent:a1:x",
      JSON.stringify({ q1: { answer: "old", at: 1 }, q2: { answer: "only here", at: 1 } }),
    );
    kept.set("unsent:a1:y", JSON.stringify({ q1: { answer: "new", at: 2 } }));
    expect(unsent()).toMatchObject({ q1: { answer: "new" }, q2: { answer: "only here" } });
  });
  it("does not write over what another window said until one of both is chosen", async () => {
    const other = { answer: "flood", flagged: false, savedAt: "now", place: 7 };
    put
      .mockRejectedValueOnce(Object.assign(refusal(409), { code: "changed-meanwhile", theirs: other }))
      .mockResolvedValue({ place: 8 });
    const saver = useAutosave("a1", { q1: 3 });
    saver.say("q1", { answer: "ebb", flagged: false });
    expect(await saver.flush()).toBe(false);
    expect(put.mock.calls[0]?.[1]).toMatchObject({ body: { seen: 3 } });
    expect(await saver.flush()).toBe(false);
    expect(put).toHaveBeenCalledTimes(1);
    expect(unsent()).toMatchObject({ q1: { answer: "ebb" } });
  });
});
