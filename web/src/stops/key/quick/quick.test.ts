import { describe, expect, it } from "vitest";
import type { Item } from "../definition";
import { oneMoreLike } from "./again";
import { withOptionLines } from "./optionLines";
import { asKind } from "./otherKind";
import { numbered, setTogether, shareOf } from "./several";

const choice: Item = {
  id: "q1",
  kind: "choice",
  points: "2",
  prompt: "Which knot?",
  standards: [{ code: "S1" }],
  options: [
    { id: "a", text: "bowline" },
    { id: "b", text: "reef knot" },
    { id: "c", text: "" },
  ],
  key: ["a"],
  penalty: "1/4",
  examples: [],
};

describe("one more question like this one", () => {
  it("has its kind, points, standards, rules and number of options, and nothing of its key", () => {
    const more = oneMoreLike(choice, [choice]);
    expect(more).toMatchObject({
      id: "q2",
      kind: "choice",
      points: "2",
      penalty: "1/4",
      key: [],
      prompt: "",
    });
    expect(more.standards).toEqual([{ code: "S1" }]);
    expect(more.options).toEqual([
      { id: "a", text: "" },
      { id: "b", text: "" },
      { id: "c", text: "" },
    ]);
  });
});

describe("another kind", () => {
  it("keeps the right answer where both kinds can say it", () => {
    const text = asKind(choice, "text");
    expect(text.item).toMatchObject({ id: "q1", kind: "text", points: "2", accept: [{ text: "bowline" }] });
    expect(text.lost).toEqual(["wrong options"]);
    const back = asKind(text.item, "choice");
    expect(back.item.options?.[0]).toEqual({ id: "a", text: "bowline" });
    expect(back.item.key).toEqual(["a"]);
    expect(back.lost).toEqual([]);
  });

  it("says what an open question cannot keep", () => {
    expect(asKind(choice, "open").lost).toEqual(["wrong options", "accepted answers"]);
    const open: Item = { id: "q", kind: "open", rubric: { criteria: [] }, words: { max: 50 } };
    expect(asKind(open, "text").lost).toEqual(["rubric", "number of words"]);
  });

  it("takes numbers as numbers and says which answers are none", () => {
    const text: Item = { id: "q", kind: "text", accept: [{ text: "12,5" }, { text: "a dozen" }] };
    const number = asKind(text, "number");
    expect(number.item.accept).toEqual([{ value: "12.5" }]);
    expect(number.lost).toEqual(["accepted answers"]);
  });

  it("makes a choice of several of several right answers", () => {
    const text: Item = { id: "q", kind: "text", accept: [{ text: "ebb" }, { text: "flood" }] };
    expect(asKind(text, "choice").item).toMatchObject({ key: ["a", "b"], rule: "net", max: 4 });
  });
});

describe("options pasted as lines", () => {
  it("fill what is empty and go on from there, with what is right before them", () => {
    const pasted = withOptionLines({ ...choice, key: [] }, "c", "A) * ebb\nB) flood\n\n- slack water");
    expect(pasted.options?.map((o) => o.text)).toEqual([
      "bowline",
      "reef knot",
      "ebb",
      "flood",
      "slack water",
    ]);
    expect(pasted.key).toEqual(["c"]);
    expect(new Set(pasted.options?.map((o) => o.id)).size).toBe(5);
  });

  it("take no letter or number off that belongs to the answer", () => {
    const pasted = withOptionLines({ ...choice, key: ["a"] }, "c", "3.5 m\nA flood\n1. first");
    expect(pasted.options?.slice(2).map((o) => o.text)).toEqual(["3.5 m", "A flood", "first"]);
  });
});

describe("several questions at once", () => {
  const items: Item[] = [
    choice,
    { id: "p", kind: "passage" },
    { ...choice, id: "q2" },
    { ...choice, id: "q3" },
  ];

  it("are named by their numbers on the paper", () => {
    expect(numbered("", items)?.length).toBe(3);
    expect(numbered("1, 3", items)?.map((i) => i.id)).toEqual(["q1", "q3"]);
    expect(numbered("2–3", items)?.map((i) => i.id)).toEqual(["q2", "q3"]);
    expect(numbered("4", items)).toBeNull();
    expect(numbered("3-1", items)).toBeNull();
    expect(numbered("x", items)).toBeNull();
  });

  it("share points out exactly", () => {
    expect(shareOf("20", 8)).toBe("5/2");
    expect(shareOf("10", 5)).toBe("2");
    expect(shareOf("10", 3)).toBe("10/3");
    expect(shareOf("7,5", 3)).toBe("5/2");
    expect(shareOf("0", 3)).toBeNull();
    expect(shareOf("much", 3)).toBeNull();
  });

  it("get points, and standards and tags beside those they have", () => {
    const set = setTogether(items, [items[2] as Item], {
      points: "5/2",
      standards: [{ code: "S2" }],
      tags: ["term 1"],
    });
    expect(set[2]).toMatchObject({
      points: "5/2",
      standards: [{ code: "S1" }, { code: "S2" }],
      tags: ["term 1"],
    });
    expect(set[0]).toEqual(choice);
  });
});
