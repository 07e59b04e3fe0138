import { describe, expect, it } from "vitest";
import { scaled, spread } from "./weights";

const parts = (...weights: string[]) => weights.map((weight, i) => ({ id: `P${i}`, title: "", weight }));

describe("weights of parts", () => {
  it("are spread evenly and sum to a hundred", () => {
    expect(spread(parts("1", "2", "3")).map((p) => p.weight)).toEqual(["34", "33", "33"]);
  });
  it("are scaled exactly, also where they do not come out even", () => {
    expect(scaled(parts("40", "50", "5")).map((p) => p.weight)).toEqual(["800/19", "1000/19", "100/19"]);
    expect(scaled(parts("1", "3")).map((p) => p.weight)).toEqual(["25", "75"]);
    expect(scaled(parts("0", "0")).map((p) => p.weight)).toEqual(["50", "50"]);
  });
});
