import { describe, expect, it } from "vitest";
import { type Definition, newItem } from "./definition";
import { merge } from "./merge";

const item = (id: string, prompt: string) => ({ ...newItem("open", []), id, prompt });
const key = (...prompts: [string, string][]): Definition => ({
  format: "scholion-assessment/1",
  title: "Tides",
  items: prompts.map(([id, prompt]) => item(id, prompt)),
});

describe("two people's changes to one key", () => {
  const base = key(["q1", "a"], ["q2", "b"], ["q3", "c"]);
  it("come together when they are to different items", () => {
    const { merged, meanwhile } = merge(
      base,
      key(["q1", "mine"], ["q2", "b"], ["q3", "c"], ["q4", "my new one"]),
      key(["q1", "a"], ["q2", "theirs"], ["q3", "c"]),
      "Halvard Quist",
    );
    expect(merged.items.map((i) => i.prompt)).toEqual(["mine", "theirs", "c", "my new one"]);
    expect(meanwhile).toEqual({ by: "Halvard Quist", changed: ["q2"], clashes: [] });
  });
  it("keep mine and show theirs when both changed the same item", () => {
    const { merged, meanwhile } = merge(
      base,
      key(["q1", "mine"], ["q2", "b"], ["q3", "c"]),
      key(["q1", "theirs"], ["q2", "b"]),
      "H",
    );
    expect(merged.items.map((i) => i.prompt)).toEqual(["mine", "b"]);
    expect(meanwhile.clashes.map((c) => [c.id, c.theirs?.prompt])).toEqual([["q1", "theirs"]]);
    expect(meanwhile.changed).toEqual(["q3"]);
  });
  it("do not count the same change, or another order of fields, as a clash", () => {
    const turned = { ...base, items: base.items.map((i) => Object.fromEntries(Object.entries(i).reverse())) };
    const { meanwhile } = merge(base, base, turned as unknown as Definition, "H");
    expect(meanwhile.changed).toEqual([]);
    const both = key(["q1", "same"], ["q2", "b"], ["q3", "c"]);
    expect(merge(base, both, both, "H").meanwhile.clashes).toEqual([]);
  });
  it("keep my order where only I changed it, and the other's title where I did not change it", () => {
    const mine = key(["q3", "c"], ["q1", "a"], ["q2", "b"]);
    const { merged } = merge(base, mine, { ...base, title: "Tides and streams" }, "H");
    expect(merged.items.map((i) => i.id)).toEqual(["q3", "q1", "q2"]);
    expect(merged.title).toBe("Tides and streams");
  });
});
