import { expect, test } from "vitest";
import { harmless, toCsv, toTabs } from "./out";

test("a cell that a spreadsheet would compute is text; a number stays one", () => {
  expect(harmless("=1+1")).toBe("'=1+1");
  expect(harmless("@SUM(A1)")).toBe("'@SUM(A1)");
  expect(harmless("+1")).toBe("'+1");
  expect(harmless("-2+3")).toBe("'-2+3");
  expect(harmless("-2.5")).toBe("-2.5");
  expect(harmless("bowline")).toBe("bowline");
});

test("quotes, commas and line breaks are kept in a cell", () => {
  expect(
    toCsv([
      ["a,b", 'say "ahoy"'],
      ["one\ntwo", ""],
    ]),
  ).toBe('"a,b","say ""ahoy"""\r\n"one\ntwo",\r\n');
});

test("what is copied has one line a row, whatever is in a cell", () => {
  expect(
    toTabs([
      ["a\tb", "c\nd"],
      ["=x", "1"],
    ]),
  ).toBe("a b\tc d\n'=x\t1");
});
