import { expect, test } from "vitest";
import type { ItemLine } from "../figures/useExamine";
import { likeliest, waysFor } from "./remedies";

const option = (name: string, keyed: boolean, upper: number, rest: number | null) => ({
  option: name,
  keyed,
  upper: { value: upper },
  optionRest: { value: rest },
});

const item = (options: unknown[], adjusted: string | null = null) =>
  ({ adjusted, measures: { options } }) as unknown as ItemLine;

test("the option outside the key that the best chose most is proposed, not the keyed one", () => {
  expect(
    likeliest(item([option("a", true, 0.9, 0.5), option("b", false, 0.1, 0), option("c", false, 0.4, 0)])),
  ).toBe("c");
  expect(likeliest(item([option("a", false, 0.2, -0.3), option("b", false, 0.2, 0.3)]))).toBe("b");
  expect(likeliest(item([]))).toBeNull();
});

test("what is done already is not offered, but the way back is", () => {
  const whats = (i: ItemLine) => waysFor(i).map((w) => w.what);
  expect(whats(item([]))).toEqual(["DROP", "CREDIT_ALL", "CREDIT_ANSWERED", "BONUS", "POINTS"]);
  expect(whats(item([], "DROP"))).toEqual(["CREDIT_ALL", "CREDIT_ANSWERED", "BONUS", "POINTS", "AS_USUAL"]);
  expect(whats(item([option("b", false, 0, 0)]))[0]).toBe("ACCEPT_ALSO");
});
