import { describe, expect, it } from "vitest";
import type { Schemas } from "../api/client";
import { stopState } from "./LineOfWork";

const EMPTY: Schemas["Line"] = {
  items: 12,
  edition: 0,
  expected: 0,
  in: 0,
  working: 0,
  doubts: 0,
  unread: 0,
  openAnswers: 0,
  flags: 0,
  undecided: 0,
  ready: 0,
  handedBack: 0,
};
const TAKEN = { ...EMPTY, edition: 2, expected: 28, in: 27 };

describe("the line says what remains at each stop", () => {
  it("waits at Key until it is given out", () => {
    expect(stopState("key", EMPTY)).toEqual(["waits", "12 questions · not given out"]);
    expect(stopState("key", TAKEN)).toEqual(["done", "12 questions · edition 2"]);
  });
  it("is empty everywhere else before anybody has it", () => {
    for (const stop of ["collect", "settle", "read", "examine", "hand-back"] as const) {
      expect(stopState(stop, EMPTY)).toEqual(["empty", "–"]);
    }
  });
  it("waits at Collect while somebody works", () => {
    expect(stopState("collect", TAKEN)).toEqual(["done", "27 of 28 handed in"]);
    expect(stopState("collect", { ...TAKEN, working: 1 })[0]).toBe("waits");
  });
  it("counts doubts, one as one", () => {
    expect(stopState("settle", { ...TAKEN, doubts: 1 })).toEqual(["waits", "1 doubt"]);
    expect(stopState("settle", { ...TAKEN, doubts: 12 })).toEqual(["waits", "12 doubts"]);
    expect(stopState("settle", TAKEN)).toEqual(["done", "no doubts left"]);
  });
  it("tells unread answers from a paper without open questions", () => {
    expect(stopState("read", { ...TAKEN, openAnswers: 27, unread: 14 })).toEqual([
      "waits",
      "14 of 27 unread",
    ]);
    expect(stopState("read", { ...TAKEN, openAnswers: 27 })).toEqual(["done", "all read"]);
    expect(stopState("read", TAKEN)).toEqual(["done", "nothing to read"]);
  });
  it("waits at Examine for flags", () => {
    expect(stopState("examine", { ...TAKEN, flags: 2 })).toEqual(["waits", "2 flags"]);
    expect(stopState("examine", TAKEN)).toEqual(["done", "nothing flagged"]);
  });
  it("is done at Hand back only when everybody has a result", () => {
    expect(stopState("hand-back", { ...TAKEN, handedBack: 20 })).toEqual(["empty", "7 to hand back"]);
    expect(stopState("hand-back", { ...TAKEN, handedBack: 27 })).toEqual(["done", "handed back"]);
  });
});
