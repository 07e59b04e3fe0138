import { describe, expect, it } from "vitest";
import { changesOf, codeOnBoard, firstDraft, isOdd, newCode, over } from "./draft";
import { moreInWords, type Stretch, toScale } from "./scale";

const at = (time: string) => Date.parse(`2026-11-30T${time}:00Z`);
const stretch = (from: string, to: string): Stretch => ({
  key: from,
  words: "",
  from: at(from),
  to: at(to),
  own: false,
  late: false,
});

describe("a sitting drawn to scale", () => {
  it("puts each stretch where it lies between the first beginning and the last end", () => {
    const scale = toScale([stretch("08:00", "09:00"), stretch("10:00", "12:00")]);
    expect(scale.place(at("08:00"))).toBe(0);
    expect(scale.place(at("09:00"))).toBe(0.25);
    expect(scale.place(at("12:00"))).toBe(1);
    expect(scale.ticks.map((tick) => new Date(tick).toISOString().slice(11, 16))).toEqual([
      "08:00",
      "09:00",
      "10:00",
      "11:00",
      "12:00",
    ]);
  });
  it("has few ticks, however long it is", () => {
    const weeks = toScale([{ ...stretch("08:00", "09:00"), to: at("08:00") + 60 * 86_400_000 }]);
    expect(weeks.ticks.length).toBeGreaterThan(1);
    expect(weeks.ticks.length).toBeLessThan(7);
  });
  it("says more time as people do", () => {
    expect(moreInWords(150, 0)).toBe("half as long again");
    expect(moreInWords(125, 5)).toBe("125% of the time, 5 minutes more");
    expect(moreInWords(100, 0)).toBe("");
  });
});

describe("what is typed of a sitting", () => {
  it("is only what differs, and lies over what a colleague changed meanwhile", () => {
    const stands = firstDraft(new Date("2026-11-30T08:00:00Z"));
    const mine = {
      ...stands,
      minutes: "40",
      settings: { ...stands.settings, mustAnswer: true },
      seen: { ...stands.seen, keys: "ALL_CLOSED" as const },
    };
    const changes = changesOf(stands, mine);
    expect(changes).toEqual({ minutes: "40", settings: { mustAnswer: true }, seen: { keys: "ALL_CLOSED" } });
    const theirs = {
      ...stands,
      closes: "2026-11-30T12:00",
      settings: { ...stands.settings, goingBack: false },
    };
    expect(over(theirs, changes)).toEqual({
      ...mine,
      closes: "2026-11-30T12:00",
      settings: { ...mine.settings, goingBack: false },
    });
    expect(changesOf(stands, stands)).toBeNull();
  });
  it("asks about a time at which nobody is at school", () => {
    expect(
      ["2026-11-30T05:59", "2026-11-30T06:00", "2026-11-30T20:59", "2026-11-30T21:00"].map(isOdd),
    ).toEqual([true, false, false, true]);
  });
  it("makes codes that are read from the board in two pieces", () => {
    expect(codeOnBoard(newCode(() => 0))).toBe("TIDE 1000");
    expect(codeOnBoard(newCode(() => 0.999))).toBe("QUAY 9991");
  });
});
