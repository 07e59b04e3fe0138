import { describe, expect, it } from "vitest";
import { type DrawnMark, notesOf, type Point, pathOf, pointAt, withPoint } from "./marks";

describe("what is drawn on a page", () => {
  it("stays on the page, to the ten-thousandth", () => {
    expect(pointAt(-0.2, 1.7)).toEqual([0, 1]);
    expect(pointAt(0.123_456, 0.5)).toEqual([0.1235, 0.5]);
  });

  it("has no point that says nothing new", () => {
    const line: Point[] = [[0.5, 0.5]];
    expect(withPoint(line, 0.5005, 0.5005)).toBe(line);
    expect(withPoint(line, 0.51, 0.5)).toEqual([
      [0.5, 0.5],
      [0.51, 0.5],
    ]);
    expect(withPoint([], 2, 0.5)).toEqual([[1, 0.5]]);
  });

  it("is a path in the page's own size, and a dot where there is one point", () => {
    expect(
      pathOf(
        [
          [0, 0],
          [0.5, 1],
        ],
        200,
        100,
      ),
    ).toBe("M 0 0 L 100 100");
    expect(pathOf([[0.5, 0.5]], 200, 100)).toBe("M 100 50 L 100 50");
  });

  it("counts the notes of one attachment only", () => {
    const mark = (id: string, file: string, kind: DrawnMark["kind"]): DrawnMark => ({
      id,
      file,
      kind,
      page: 1,
      points: [[0, 0]],
      words: "",
      mine: true,
    });
    const marks = [
      mark("1", "a", "PEN"),
      mark("2", "a", "NOTE"),
      mark("3", "b", "NOTE"),
      mark("4", "a", "NOTE"),
    ];
    expect(notesOf(marks, "a").map((m) => m.id)).toEqual(["2", "4"]);
  });
});
