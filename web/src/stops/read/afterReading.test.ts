import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { afterReading, unread } from "./afterReading";

const answer = (name: string, state: string) =>
  ({ answer: name, item: "q5", mark: { state } }) as unknown as Schemas["ReadAnswer"];
const view = {
  item: "q5",
  questions: [
    { item: "q5", unread: 2, mine: 2 },
    { item: "q6", unread: 7, mine: 7 },
  ],
  answers: [answer("a", "read"), answer("b", "read"), answer("c", "scored")],
} as unknown as Schemas["ReadView"];

describe("the page after an answer was read", () => {
  it("counts one less that is left of this question, and as many as before of the others", () => {
    const after = afterReading(view, answer("a", "scored"));
    expect(after.answers.map((a) => a.mark.state)).toEqual(["scored", "read", "scored"]);
    expect(after.questions.map((q) => q.unread)).toEqual([1, 7]);
  });

  it("counts one more when the last mark is taken back", () => {
    expect(afterReading(view, answer("c", "read")).questions.map((q) => q.unread)).toEqual([3, 7]);
  });

  it("counts what two read as left for whoever has not read it, whatever it is worth", () => {
    const blind = { ...answer("a", "scored"), second: { blind: true } } as Schemas["ReadAnswer"];
    expect(unread(blind)).toBe(true);
    expect(unread({ ...blind, mark: { state: "read" }, second: { blind: false } } as never)).toBe(false);
    const first = { ...answer("a", "read"), second: { blind: false, decided: false } } as never;
    const after = afterReading(view, first).questions[0];
    expect([after?.unread, after?.mine]).toEqual([2, 1]);
  });
});
