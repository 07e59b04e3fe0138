import { describe, expect, it } from "vitest";
import {
  firstEmpty,
  gapsIn,
  isOutside,
  lettersOf,
  type Question,
  together,
  typedInto,
  without,
} from "./grid";

const one: Question = {
  item: "q1",
  number: 1,
  prompt: "",
  kind: "choice",
  points: "1",
  options: 4,
  several: false,
};
const several: Question = { ...one, item: "q2", several: true };
const open: Question = { ...one, item: "q3", kind: "open", points: "6", options: 0 };

describe("typing from paper", () => {
  it("takes one letter for one answer, and goes on", () => {
    expect(typedInto(one, false, "", "c")).toEqual({ cell: "C", full: true });
    expect(typedInto(one, false, "C", "Cd")).toEqual({ cell: "D", full: true });
  });

  it("takes no letter that is no option", () => {
    expect(typedInto(one, false, "", "e")).toBeNull();
    expect(typedInto(one, false, "", "1")).toBeNull();
  });

  it("takes a hyphen or a space for no answer", () => {
    expect(typedInto(one, false, "", "-")).toEqual({ cell: "-", full: true });
    expect(typedInto(one, false, "", " ")).toEqual({ cell: "-", full: true });
  });

  it("collects several letters, and takes one back that is typed again", () => {
    expect(typedInto(several, false, "A", "Ac")).toEqual({ cell: "AC", full: false });
    expect(typedInto(several, false, "AC", "ACa")).toEqual({ cell: "C", full: false });
    expect(typedInto(several, false, "-", "-b")).toEqual({ cell: "B", full: false });
  });

  it("lets letters be taken away", () => {
    expect(typedInto(one, false, "C", "")).toEqual({ cell: "", full: false });
  });

  it("takes points as they are typed, and marks what is more than there is", () => {
    expect(typedInto(open, false, "", "4,5")).toEqual({ cell: "4,5", full: false });
    expect(lettersOf(one, true)).toBe("");
    expect(isOutside(open, false, "4,5")).toBe(false);
    expect(isOutside(open, false, "7")).toBe(true);
    expect(isOutside(open, false, "much")).toBe(true);
    expect(isOutside(one, true, "1")).toBe(false);
    expect(isOutside(one, false, "B")).toBe(false);
  });

  it("keeps what was typed while a row was on its way", () => {
    expect(without({ s1: { q1: "A", q2: "B" }, s2: { q1: "C" } }, "s1", { q1: "A", q2: "B" })).toEqual({
      s2: { q1: "C" },
    });
    expect(without({ s1: { q1: "D", q2: "B" } }, "s1", { q1: "A" })).toEqual({ s1: { q1: "D", q2: "B" } });
    expect(without({}, "s1", { q1: "A" })).toEqual({});
  });

  it("keeps what two windows of one person typed, the later of one cell", () => {
    expect(together({ s1: { q1: "A" } }, { s1: { q2: "B" }, s2: { q1: "C" } })).toEqual({
      s1: { q1: "A", q2: "B" },
      s2: { q1: "C" },
    });
    expect(together({ s1: { q1: "A" } }, { s1: { q1: "B" } })).toEqual({ s1: { q1: "B" } });
  });

  it("goes on at the first cell that nothing is typed in", () => {
    const all = [one, several];
    expect(firstEmpty(all, [{}, {}])).toEqual({ row: 0, column: 0 });
    expect(firstEmpty(all, [{ q1: "A", q2: "-" }, { q1: "B" }])).toEqual({ row: 1, column: 1 });
    expect(firstEmpty(all, [{ q1: "A", q2: "-" }])).toEqual({ row: 0, column: 0 });
  });

  it("counts cells that are empty in a row that was begun", () => {
    const all = [one, several, open];
    expect(gapsIn(all, {})).toBe(0);
    expect(gapsIn(all, { q1: "A", q3: "5" })).toBe(1);
    expect(gapsIn(all, { q1: "A" })).toBe(2);
  });
});
