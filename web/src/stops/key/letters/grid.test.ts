import { describe, expect, it } from "vitest";
import { type Item, newItem } from "../definition";
import {
  erased,
  isKeyed,
  isTruth,
  lettersOf,
  losing,
  madeTo,
  newRow,
  openRow,
  rowKind,
  rowsOf,
  typed,
} from "./grid";

const row = newRow([], { letters: 5, alternate: false });

describe("a row made to take something else", () => {
  const dressed: Item = { ...row, points: "2", standards: [{ code: "C1" }], part: "A", tags: ["lights"] };
  it("keeps its id, points, standards, part and tags, and loses its key", () => {
    const truth = madeTo({ ...dressed, key: ["a"] }, "truth", []);
    expect(truth).toMatchObject({ id: row.id, points: "2", standards: [{ code: "C1" }], part: "A", key: [] });
    expect(isTruth(truth)).toBe(true);
    expect(rowKind(truth)).toBe("truth");
  });
  it("is open from nothing to so many points", () => {
    const open = openRow(madeTo(dressed, "open", []), "4", "");
    expect(open).toMatchObject({ kind: "open", points: "4" });
    expect(open).not.toHaveProperty("mastery");
    expect(openRow(open, "4", "3").mastery).toBe("3");
    expect(isKeyed(open)).toBe(true);
  });
  it("takes a number sign by sign", () => {
    const number = [..."-1.5"].reduce(typed, madeTo(dressed, "number", []));
    expect(number.accept).toEqual([{ value: "-1.5" }]);
    expect(erased(erased(number)).accept).toEqual([{ value: "-1" }]);
  });
});

describe("the letters of rows", () => {
  it("are as many as are asked for, in both alphabets", () => {
    expect(lettersOf({ letters: 5, alternate: true }, 1).join("")).toBe("ABCDE");
    expect(lettersOf({ letters: 5, alternate: true }, 4).join("")).toBe("FGHJK");
    expect(row.options?.map((o) => o.id).join("")).toBe("abcde");
  });
  it("stand for nothing in rows of other kinds, and passages are no rows", () => {
    expect(rowKind(newItem("choice", []))).toBe("other");
    expect(rowKind(newItem("pairs", []))).toBe("other");
    expect(rowsOf([newItem("passage", []), row])).toEqual([row]);
  });

  it("keep the letter that was typed when other letters are laid over them, and say which rows would lose theirs", () => {
    const typed = (key: string): Item => ({
      ...madeTo(newItem("choice", []), "letters", ["A", "B", "C", "D"]),
      key: [key],
    });
    const fewer = (item: Item) => madeTo(item, "letters", ["A", "B", "C"]);
    expect(fewer(typed("b")).key).toEqual(["b"]);
    expect(losing([typed("b"), typed("d")], fewer)).toEqual([typed("d")]);
    expect(losing([typed("b")], (i) => madeTo(i, "number", []))).toHaveLength(1);
    expect(losing([typed("b")], (i) => ({ ...i, points: "2" }))).toEqual([]);
    const none = madeTo(newItem("choice", []), "letters", ["A", "B"]);
    expect(losing([none], (i) => madeTo(i, "number", []))).toEqual([]);
  });
});
