import { describe, expect, it } from "vitest";
import { findStandards, levelOf } from "./standards";

const coastal = {
  id: "csf",
  title: "Coastal Skills",
  version: "2",
  standards: [
    { code: "T", text: "Tides" },
    { code: "T1", parent: "T", text: "Explains the causes of tides" },
    { code: "T1.2", parent: "T1", text: "Reads a tide table" },
    { code: "C1", text: "Plots a position by tidal vectors" },
  ],
};
const reading = {
  id: "r",
  title: "Reading",
  version: "1",
  standards: [{ code: "R4", text: "Reads tables" }],
};

describe("standards", () => {
  it("are found by code first and then by their words, in all frameworks", () => {
    expect(findStandards([coastal, reading], "t1", null).map((f) => f.code)).toEqual(["T1", "T1.2"]);
    expect(findStandards([coastal, reading], "reads table", null).map((f) => f.code)).toEqual(["T1.2", "R4"]);
  });
  it("can be narrowed to one level of the tree", () => {
    expect(findStandards([coastal], "", 2).map((f) => f.code)).toEqual(["T1"]);
    expect(levelOf(coastal, "T1.2")).toBe(3);
  });
});
