import { describe, expect, it } from "vitest";
import { appended, type Item, keyInShort, kindName, letterOf, newCriterion, newItem } from "./definition";

describe("new items", () => {
  it("get an id that is free, also after some were taken out", () => {
    const items = [newItem("choice", []), { ...newItem("open", []), id: "q3" }];
    expect(newItem("text", items).id).toBe("q4");
    expect(newItem("text", [{ ...newItem("open", []), id: "q7" }]).id).toBe("q2");
  });
  it("bring the least that their kind needs", () => {
    expect(newItem("choice", []).options).toHaveLength(4);
    expect(newItem("text", []).spelling).toBe("length");
    expect(newItem("open", []).rubric?.criteria[0]?.levels.map((l) => l.points)).toEqual(["0", "1", "2"]);
    expect(newItem("passage", []).points).toBeUndefined();
  });
  it("number criteria without taking a number twice", () => {
    expect(newCriterion([{ id: "c2", title: "", levels: [] }]).id).toBe("c3");
  });
});

describe("items from elsewhere", () => {
  it("get free ids, and a question still leads to its passage", () => {
    const here = { format: "", title: "", items: [newItem("choice", [])], parts: [{ id: "P1", title: "" }] };
    const { definition, ids } = appended(here, [
      { id: "q1", kind: "passage", prompt: "p" },
      { id: "q2", kind: "open", stem: "q1" },
    ]);
    expect(ids).toEqual(["q2", "q3"]);
    expect(definition.items.map((i) => [i.id, i.stem, i.part])).toEqual([
      ["q1", undefined, undefined],
      ["q2", undefined, undefined],
      ["q3", "q2", "P1"],
    ]);
  });
});

describe("a key in a few words", () => {
  const choice: Item = { ...newItem("choice", []), key: ["c", "a"] };
  it("shows letters for choices, in order", () => {
    expect(keyInShort(choice)).toBe("A C");
    expect(letterOf(choice, "d")).toBe("D");
    expect(letterOf(choice, "x")).toBe("x");
  });
  it("shows the first text and how many more", () => {
    const text = newItem("text", []);
    expect(keyInShort(text)).toBe("");
    expect(keyInShort({ ...text, accept: [{ text: "bowline" }, { pattern: "b.*" }, { words: {} }] })).toBe(
      "bowline + 2",
    );
  });
  it("shows a number with its tolerance, or its range", () => {
    const number = newItem("number", []);
    expect(keyInShort({ ...number, accept: [{ value: "12.5", within: "2%" }] })).toBe("12.5 ± 2%");
    expect(keyInShort({ ...number, accept: [{ from: "1", to: "2" }] })).toBe("1 – 2");
  });
  it("names several choices and open items", () => {
    expect(kindName({ ...choice, max: 3 })).toBe("choice of several");
    expect(kindName(choice)).toBe("choice");
    const open = newItem("open", []);
    expect(keyInShort(open)).toBe("one scale");
    const named = (open.rubric?.criteria ?? []).map((c) => ({ ...c, title: "Reasoning" }));
    expect(keyInShort({ ...open, rubric: { criteria: named } })).toBe("1 criterion");
  });

  it("says in short what the key of the other kinds holds", () => {
    const filed = (more: object) => ({ id: "q", points: "1", ...more }) as unknown as Item;
    expect(keyInShort(filed({ kind: "formula", accept: ["x + 1"] }))).toBe("x + 1");
    expect(keyInShort(filed({ kind: "pairs", key: [["l", "r"]] }))).toBe("1 pair");
  });
});
