import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { AT_FIRST, count, isChosen, isWhole, type Line, NOBODY, toggleGroup, toggleLine } from "./chosen";

const line = (attempt: string, group: string, band: string) => ({ attempt, group, band }) as unknown as Line;
const ana = line("ana", "READY", "B");
const bo = line("bo", "UNDECIDED", "C");
const view = {
  groups: [
    { group: "READY", students: 300, bands: { A: 100, B: 200 } },
    { group: "UNDECIDED", students: 20, bands: { C: 20 } },
  ],
} as unknown as Schemas["HandBackView"];

describe("who is handed back to", () => {
  it("is at first whoever is decided and has nothing that stands", () => {
    expect(count(view, AT_FIRST)).toBe(300);
    expect(isChosen(AT_FIRST, ana)).toBe(true);
    expect(isChosen(AT_FIRST, bo)).toBe(false);
  });

  it("leaves one out of a whole group, and takes one beside it", () => {
    const other = toggleLine(toggleLine(AT_FIRST, ana, false), bo, true);
    expect(count(view, other)).toBe(300);
    expect(count(view, other, "B")).toBe(199);
    expect(count(view, other, "C")).toBe(1);
    expect(isWhole(other, "READY")).toBe(false);
    expect(toggleLine(toggleLine(other, ana, true), bo, false)).toEqual(AT_FIRST);
  });

  it("forgets who was left out of a group once the group is chosen or not chosen as a whole", () => {
    const but = toggleLine(AT_FIRST, ana, false);
    expect(count(view, toggleGroup(but, "READY", true))).toBe(300);
    expect(count(view, toggleGroup(but, "READY", false))).toBe(0);
    expect(count(view, NOBODY)).toBe(0);
  });
});
