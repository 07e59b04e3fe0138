import { describe, expect, it } from "vitest";
import { drawn, fixed, moved, polygon, scaled } from "./regions";

describe("regions on a picture", () => {
  it("are drawn in shares of the picture, whichever way the drag went", () => {
    expect(drawn("rect", "g1", { x: 0.6, y: 0.5 }, { x: 0.2, y: 0.1 }, 1)).toEqual({
      id: "g1",
      rect: ["0.2", "0.1", "0.6", "0.5"],
    });
  });
  it("scale a circle's height by the picture's", () => {
    expect(drawn("circle", "g1", { x: 0.5, y: 0.5 }, { x: 0.5, y: 0.6 }, 0.5)?.circle).toEqual([
      "0.5",
      "0.5",
      "0.05",
    ]);
  });
  it("are not made by a click that moved nowhere, nor by two corners", () => {
    expect(drawn("rect", "g1", { x: 0.2, y: 0.2 }, { x: 0.2, y: 0.2 }, 1)).toBeNull();
    expect(
      polygon("g1", [
        { x: 0, y: 0 },
        { x: 1, y: 1 },
      ]),
    ).toBeNull();
  });
  it("move and grow about their middle, and stay on the picture", () => {
    expect(moved({ id: "g", circle: ["0.5", "0.5", "0.1"] }, 0.1, -0.6).circle).toEqual(["0.6", "0", "0.1"]);
    expect(scaled({ id: "g", rect: ["0.4", "0.4", "0.6", "0.6"] }, 2).rect).toEqual([
      "0.3",
      "0.3",
      "0.7",
      "0.7",
    ]);
    expect(scaled({ id: "g", circle: ["0.4", "0.4", "0.1"] }, 0.5).circle?.[2]).toBe("0.05");
    expect(
      moved(
        {
          id: "g",
          polygon: [
            ["0.1", "0.1"],
            ["0.2", "0.1"],
            ["0.2", "0.3"],
          ],
        },
        0.1,
        0.1,
      ).polygon?.[0],
    ).toEqual(["0.2", "0.2"]);
    expect(fixed(1.7)).toBe("1");
  });
});
