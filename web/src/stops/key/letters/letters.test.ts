import { describe, expect, it } from "vitest";
import { type Item, letterOf } from "../definition";
import { erased, isKeyed, keyed, lettersOf, madeTo, newRow, rowKind, typed } from "./grid";
import { pasting } from "./paste";
import { readPasted } from "./pasted";
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
  const read = (text: string) =>
    readPasted(text)
      .map((a, i) => `${a.row ?? `(${i + 1})`} ${a.letters.join("+")}`)
      .join(", ");
  it.each([
    ["1. B\n2. D\n3) a", "1 B, 2 D, 3 A"],
    ["1. A 2. B 4. D", "1 A, 2 B, 4 D"],
    ["3. A,C", "3 A+C"],
    ["3. A, C 4. B", "3 A+C, 4 B"],
    ["3) AC\n4) b", "3 A+C, 4 B"],
    ["1\tA\n2\tB", "1 A, 2 B"],
    ["1\tA\t11\tD\n2\tB\t12\tC", "1 A, 11 D, 2 B, 12 C"],
    ["1\tA\t2\t\t3\tC", "1 A, 3 C"],
    ["1\t2\t3\nA\tB\tC", "1 A, 2 B, 3 C"],
    ["1\t2\t3\nA\t\tC", "1 A, 3 C"],
    ["Q1 A\nQ3 c", "1 A, 3 C"],
    ["Question 1: A\nQuestion 2: B", "1 A, 2 B"],
    ["1A 2B 3C", "1 A, 2 B, 3 C"],
    ["1,A\n2,B", "1 A, 2 B"],
    ["1=A; 2=B", "1 A, 2 B"],
    ["1. (A) 2. (b)", "1 A, 2 B"],
    ["5. A 3. B", "5 A, 3 B"],
    ["1. A 2. - 3. C", "1 A, 3 C"],
    ["1-5: BDACA", "1 B, 2 D, 3 A, 4 C, 5 A"],
    ["1. A\n2. 12.5\n3. 7\n4. true", "1 A, 2 12.5, 3 7, 4 TRUE"],
    ["BDAC", "(1) B, (2) D, (3) A, (4) C"],
    ["bdac", "(1) B, (2) D, (3) A, (4) C"],
    ["(A) (b)", "(1) A, (2) B"],
    ["A,B,C", "(1) A, (2) B, (3) C"],
    ["b, d; true FALSE 225", "(1) B, (2) D, (3) TRUE, (4) FALSE, (5) 225"],
    ["A\tB\nC", "(1) A, (2) B, (3) C"],
  ])("are found in %j", (text, expected) => {
    expect(read(text)).toBe(expected);
  });
  const paste = (text: string, of = rows(4), at = 0) => pasting(of, of, at, text, FOUR);
  it("go down the rows from a place on, and what does not fit is told", () => {
    const { rows: after, says } = paste("B F D A", rows(4), 1);
    expect(after.map((r) => r.key?.[0])).toEqual([undefined, "b", undefined, "d", "a"]);
    expect(says.filter((s) => !s.fits).map((s) => [s.row, s.answer])).toEqual([[3, "F"]]);
  });
  it("go to the rows that their numbers name, wherever the hand stands, and make the rows that are not there", () => {
    const { rows: after } = paste("2. C 6. A", rows(4), 3);
    expect(after.map((r) => r.key?.[0])).toEqual([undefined, "c", undefined, undefined, undefined, "a"]);
  });
  it("make a row of several letters a choice of several, and true or false one of these", () => {
    const { rows: after } = paste("1. A,C 2. false");
    expect(after[0]).toMatchObject({ key: ["a", "c"], max: 4, rule: "net" });
    expect(rowKind(after[1] as Item)).toBe("truth");
    expect(after[1]?.key).toEqual(["f"]);
  });
  it("are true and false where a key has nothing but T and F", () => {
    const { rows: after } = paste("1. T 2. F 3. T");
    expect(after.slice(0, 3).map((r) => [rowKind(r), r.key?.[0]])).toEqual([
      ["truth", "t"],
      ["truth", "f"],
      ["truth", "t"],
    ]);
  });
  it("tell which keys they would change, and which rows are named twice", () => {
    const has = paste("1. A 2. B").rows;
    const { says, twice } = paste("1. A 2. C 3. D 3. B", has);
    expect(says.filter((s) => s.replaces).map((s) => s.row)).toEqual([2]);
    expect(twice).toEqual([3]);
  });
});
