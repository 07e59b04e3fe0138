import { describe, expect, it } from "vitest";
import type { DecidedGroup } from "./DecidedRows";
import { decisionOf, type Group, PLAIN, twoWays } from "./decision";

const group = (form: string, byHand = false): Group => ({
  form,
  shown: form,
  count: 1,
  students: ["Noor Haddix"],
  because: "",
  near: "",
  phrase: null,
  like: [],
  letters: [],
  given: null,
  rightIn: [],
  byHand,
  saw: [`saw ${form}`],
});

describe("a decision", () => {
  it("names each group with the marks that were seen of it", () => {
    const made = decisionOf("q1", [group("a"), group("b")], PLAIN, "section");
    expect(made).toMatchObject({ form: "a", saw: ["saw a"], more: [{ form: "b", saw: ["saw b"] }] });
    expect(made?.section).toBeNull();
  });

  it("holds for these students only as soon as the key cannot learn one of them", () => {
    const made = decisionOf("q1", [group("a"), group("b", true)], PLAIN, "section");
    expect(made?.reach).toBe("THESE");
    expect(made?.section).toBe("section");
  });

  it("has no words of a wider rule when it is none", () => {
    expect(decisionOf("q1", [group("a")], { ...PLAIN, phrase: "bow" }, null)?.phrase).toBeNull();
    const wide = { ...PLAIN, reach: "HOLDS" as const, phrase: "bow" };
    expect(decisionOf("q1", [group("a")], wide, null)?.phrase).toBe("bow");
  });

  it("is about nothing without groups", () => {
    expect(decisionOf("q1", [], PLAIN, null)).toBeUndefined();
  });
});

it("an answer that was decided in two ways is found", () => {
  const decided = (form: string, credit: string) => ({ form, credit }) as DecidedGroup;
  expect([...twoWays([decided("a", "1"), decided("b", "1"), decided("a", "0"), decided("b", "1")])]).toEqual([
    "a",
  ]);
});
