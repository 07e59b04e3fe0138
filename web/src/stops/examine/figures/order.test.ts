import { expect, test } from "vitest";
import { sorted } from "./order";
import type { ItemLine } from "./useExamine";

const item = (number: number, mean: number | null, blank: number, flags: number) =>
  ({
    number,
    measures: { difficulty: { value: mean }, itemRest: { value: mean }, blank: { value: blank } },
    flags: Array.from({ length: flags }),
  }) as unknown as ItemLine;

const items = [item(1, 0.9, 0, 0), item(2, null, 0.5, 2), item(3, 0.2, 0.1, 1)];
const numbers = (by: Parameters<typeof sorted>[1]) => sorted(items, by).map((i) => i.number);

test("the lowest means stand first and what has no figure last", () => {
  expect(numbers("mean")).toEqual([3, 1, 2]);
  expect(numbers("rest")).toEqual([3, 1, 2]);
});

test("the most blanks and the most flags stand first", () => {
  expect(numbers("blank")).toEqual([2, 3, 1]);
  expect(numbers("flags")).toEqual([2, 3, 1]);
  expect(numbers("number")).toEqual([1, 2, 3]);
});
