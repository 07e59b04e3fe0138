import { describe, expect, it } from "vitest";
import type { Schemas } from "../../../api/client";
import { highest, typedOf, typedReading } from "./typedReading";

const level = (id: string) => ({ id, points: id, text: "" });
const rubric = {
  criteria: [
    { id: "c1", levels: [level("none"), level("some"), level("all")] },
    { id: "c2", levels: [level("no"), level("yes")] },
  ],
} as unknown as Schemas["OpenQuestion"];
const plain = { criteria: [] as unknown[], points: "4" } as Schemas["OpenQuestion"];
const answer = (more: object) =>
  ({
    levels: {},
    points: null,
    why: "",
    comment: "Good.",
    note: "",
    held: true,
    saw: "1",
    second: null,
    remarks: [],
    ...more,
  }) as unknown as Schemas["ReadAnswer"];

describe("a reading typed into a table", () => {
  it("is a digit for each criterion, in the rubric's order", () => {
    expect(typedReading("21", answer({}), rubric)?.levels).toEqual({ c1: "all", c2: "yes" });
    expect(highest(rubric)).toBe("21");
    for (const none of ["2", "212", "22", "3x", "", "-1"]) {
      expect(typedReading(none, answer({}), rubric), none).toBeNull();
    }
  });

  it("is the points where there is no rubric, with a comma as well", () => {
    expect(typedReading(" 2,5 ", answer({}), plain)?.points).toBe("2.5");
    expect(typedReading("1/2", answer({}), plain)?.points).toBe("1/2");
    for (const none of ["", "two", "-1", "2.", "1.2.3"]) {
      expect(typedReading(none, answer({}), plain), none).toBeNull();
    }
  });

  it("keeps what was said, and holds nothing back any more", () => {
    const change = typedReading("10", answer({}), rubric);
    expect(change?.comment).toBe("Good.");
    expect(change?.hold).toBe(false);
  });

  it("stands in its cell as it was typed", () => {
    expect(typedOf(answer({ levels: { c1: "all", c2: "no" } }), rubric)).toBe("20");
    expect(typedOf(answer({ levels: { c1: "all" } }), rubric)).toBe("2–");
    expect(typedOf(answer({}), rubric)).toBe("");
    expect(typedOf(answer({ points: "3", levels: { c1: "all", c2: "no" } }), rubric)).toBe("3");
    expect(typedOf(answer({ points: "2.5" }), plain)).toBe("2.5");
  });
});
