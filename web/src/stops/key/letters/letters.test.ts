import { describe, expect, it } from "vitest";
import { type Item, letterOf } from "../definition";
import { erased, isKeyed, keyed, lettersOf, madeTo, newRow, rowKind, typed } from "./grid";
import { answersIn, pasted } from "./paste";
import { readSeveral } from "./several";

const FOUR = { letters: 4, alternate: false };
const rows = (n: number, alphabet = FOUR): Item[] => {
  const all: Item[] = [];
  for (let i = 0; i < n; i++) {
    all.push(newRow(all, alphabet));
  }
  return all;
};
const changed = (line: string, item = rows(1)[0] as Item, codes: string[] = []) => {
  const read = readSeveral(line, 25, codes);
  return "fault" in read ? read.fault : read.apply(item);
};

describe("a key of letters", () => {
  it("takes a letter of its own row and refuses another", () => {
    const row = rows(1)[0] as Item;
    expect(keyed(row, "C")?.key).toEqual(["c"]);
    expect(keyed(row, "F")).toBeNull();
  });
  it("has the second alphabet on every other row where the printed test has it", () => {
    expect(lettersOf({ letters: 4, alternate: true }, 2)).toEqual(["F", "G", "H", "J"]);
    const even = rows(2, { letters: 4, alternate: true })[1] as Item;
    expect(letterOf(even, keyed(even, "J")?.key?.[0] ?? "")).toBe("J");
  });
  it("takes digits one by one and gives them back one by one", () => {
    const number = madeTo(rows(1)[0] as Item, "number", []);
    const value = typed(typed(number, "2"), "5");
    expect(value.accept?.[0]?.value).toBe("25");
    expect(erased(value).accept?.[0]?.value).toBe("2");
    expect(isKeyed(erased(erased(value)))).toBe(false);
  });
});

describe("several rows at once", () => {
  it("become true or false, numbers, open, or other letters", () => {
    expect(rowKind(changed("6 to 9: true/false") as Item)).toBe("truth");
    expect(rowKind(changed("20 number") as Item)).toBe("number");
    expect(changed("24 open 0-4 from 3")).toMatchObject({ kind: "open", points: "4", mastery: "3" });
    expect((changed("6–10 F–J") as Item).options?.map((o) => o.text)).toEqual(["F", "G", "H", "J"]);
    expect((changed("3 A-E") as Item).options).toHaveLength(5);
  });
  it("get points and standards", () => {
    expect(changed("all 2 points")).toMatchObject({ points: "2" });
    expect(changed("14-16 c1.4", rows(1)[0], ["C1.4"])).toMatchObject({ standards: [{ code: "C1.4" }] });
  });
  it("say what is not understood, and which rows there are", () => {
    expect(changed("6-30 number")).toBe("there are rows 1 to 25");
    expect(changed("6-9 nonsense")).toContain("“nonsense” is not a kind of row");
    expect(changed("true/false")).toContain("Type the rows first");
  });
});

describe("letters pasted from anywhere", () => {
  it("are found in lists, columns and rows", () => {
    expect(answersIn("1. B\n2. D\n3) a")).toEqual(["B", "D", "A"]);
    expect(answersIn("BDAC")).toEqual(["B", "D", "A", "C"]);
    expect(answersIn("b, d; true FALSE 225")).toEqual(["B", "D", "T", "F", "225"]);
    expect(answersIn("A\tB\nC")).toEqual(["A", "B", "C"]);
  });
  it("go down the rows from a place on, and what does not fit is told", () => {
    const { rows: after, unfit } = pasted(rows(4), 1, ["B", "F", "D", "A"]);
    expect(after.map((r) => r.key?.[0])).toEqual([undefined, "b", undefined, "d"]);
    expect(unfit).toEqual(["3: F", "5: A"]);
  });
});
