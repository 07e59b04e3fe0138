import { describe, expect, it } from "vitest";
import type { Schemas } from "../../../api/client";
import { digitsOf } from "../digits";
import { sameLevels } from "./practice";

const question = {
  criteria: [
    { id: "c1", levels: [{ id: "none" }, { id: "all" }] },
    { id: "c2", levels: [{ id: "no" }, { id: "yes" }] },
  ],
} as unknown as Schemas["OpenQuestion"];

describe("practising on agreed examples", () => {
  it("shows levels as the digits that choose them", () => {
    expect(digitsOf({ c1: "all", c2: "no" }, question)).toEqual(["1", "0"]);
    expect(digitsOf({ c2: "gone" }, question)).toEqual(["–", "–"]);
  });

  it("counts on how many criteria the same was chosen as agreed", () => {
    const agreed = [
      { c1: "all", c2: "no" },
      { c1: "none", c2: "no" },
    ];
    expect(sameLevels([{ c1: "all", c2: "yes" }], agreed, question)).toEqual({ same: 1, of: 2 });
    expect(sameLevels(agreed, agreed, question)).toEqual({ same: 4, of: 4 });
    expect(sameLevels([{}], [{}], question)).toEqual({ same: 0, of: 2 });
    expect(sameLevels([], agreed, question)).toEqual({ same: 0, of: 0 });
  });
});
