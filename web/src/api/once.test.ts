import { describe, expect, it } from "vitest";
import { answered, isOnce, keyOf } from "./once";

describe("the key of a request", () => {
  it("stays the same while the request was not answered, and is another one afterwards", () => {
    const first = keyOf("/api/assessments", "{}");
    expect(keyOf("/api/assessments", "{}")).toBe(first);
    answered("/api/assessments", "{}", 503);
    expect(keyOf("/api/assessments", "{}")).toBe(first);
    answered("/api/assessments", "{}", 200);
    expect(keyOf("/api/assessments", "{}")).not.toBe(first);
  });

  it("is another one for something else, or elsewhere", () => {
    const first = keyOf("/api/a", "1");
    expect(keyOf("/api/a", "2")).not.toBe(first);
    expect(keyOf("/api/b", "1")).not.toBe(first);
  });

  it("is another one after five minutes: whoever asks then means it anew", () => {
    const first = keyOf("/api/d", "1", 0);
    expect(keyOf("/api/d", "1", 299_999)).toBe(first);
    expect(keyOf("/api/d", "1", 300_000)).not.toBe(first);
  });

  it("is not there for what only looks", () => {
    expect(isOnce("http://here/api/assessments/1/editions")).toBe(true);
    expect(isOnce("http://here/api/assessments/1/editions/preview")).toBe(false);
    expect(isOnce("http://here/api/bank/find?x=1")).toBe(false);
  });

  it("is another one once it was refused: what is sent then is meant anew", () => {
    const first = keyOf("/api/c", "1");
    answered("/api/c", "1", 409);
    expect(keyOf("/api/c", "1")).not.toBe(first);
  });
});
