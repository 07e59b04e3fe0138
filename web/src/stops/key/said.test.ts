import { describe, expect, it } from "vitest";
import { tooLarge } from "../../parts/fileSize";
import { isSaid } from "../../places/student/said";
import { type Item, newItem, put, without, withPairs } from "./definition";
import { paperOf } from "./paperOf";
import { saidInShort } from "./said";

const item = (kind: Item["kind"], more: Partial<Item>): Item => ({ ...newItem(kind, []), ...more });

describe("what an answer says in short", () => {
  it("uses the item's own words for options, pairs and steps", () => {
    const options = [
      { id: "a", text: "at springs" },
      { id: "b", text: "" },
    ];
    expect(saidInShort(item("choice", { options }), ["a", "b"])).toBe("at springs + B");
    const sides = { left: [{ id: "l1", text: "port" }], right: [{ id: "r1", text: "red" }] };
    expect(saidInShort(item("pairs", sides), [["l1", "r1"]])).toBe("port → red");
    const tokens = [
      { id: "s1", text: "anchor" },
      { id: "s2", text: "chain" },
    ];
    expect(saidInShort(item("order", { tokens }), ["s2", "s1"])).toBe("chain › anchor");
  });
  it("shows places in percent, lines behind one another, blanks side by side", () => {
    expect(saidInShort(item("spot", {}), [["0.41", "0.5"]])).toBe("41%, 50%");
    expect(saidInShort(item("working", {}), ["2x = 4", "x = 2"])).toBe("2x = 4 ⏎ x = 2");
    const parts = [
      { id: "b1", kind: "text" as const },
      { id: "b2", kind: "number" as const },
    ];
    expect(saidInShort(item("blanks", { parts }), { b1: "ebb", b2: "2" })).toBe("ebb · 2");
  });
  it("shows a typed answer as it was typed", () => {
    expect(saidInShort(item("text", {}), " a Bowline ")).toBe(" a Bowline ");
  });
});

describe("whether anything is said", () => {
  it("counts no white space, no empty list and no empty blanks", () => {
    expect([" ", [], {}, { b1: "" }, null, undefined].map(isSaid)).toEqual(Array(6).fill(false));
    expect(["x", ["a"], { b1: "", b2: "2" }, [["l", "r"]]].map(isSaid)).toEqual(Array(4).fill(true));
  });
});

describe("an item as its students see it", () => {
  it("holds nothing of the key", () => {
    const keyed = item("text", {
      accept: [{ text: "bowline" }],
      reject: [{ text: "reef knot" }],
      hint: "a loop",
    });
    const shown = JSON.stringify(paperOf(keyed));
    expect(shown).not.toContain("bowline");
    expect(shown).not.toContain("reef knot");
    expect(shown).toContain("a loop");
  });
  it("does not show steps in the order of the key", () => {
    const tokens = ["one", "two", "three"].map((text, i) => ({ id: `s${i}`, text }));
    const order = item("order", { tokens, key: ["s0", "s1", "s2"] });
    expect(paperOf(order).options.map((o) => o.text)).toEqual(["three", "two", "one"]);
  });
  it("has what its kind needs to be answered", () => {
    expect(paperOf(item("working", { start: "2x = 4" })).given).toBe("2x = 4");
    expect(paperOf(item("correction", { source: "We was." })).given).toBe("We was.");
    expect(paperOf(item("number", { unit: { expect: "kn" } })).withUnit).toBe(true);
    expect(paperOf(item("open", { words: { max: 80 } })).maxWords).toBe(80);
    expect(paperOf(withPairs(item("pairs", { perLeft: 2 }), [])).perLeft).toBe(2);
    expect(paperOf(item("choice", {})).perLeft).toBe(0);
  });
});

describe("fields of a definition", () => {
  it("are taken off when nothing is put into them", () => {
    const base: Item = { id: "q1", kind: "text", hint: "x", tags: ["a"] };
    expect(put(base, "hint", "")).toEqual({ id: "q1", kind: "text", tags: ["a"] });
    expect(put(base, "tags", [])).not.toHaveProperty("tags");
    expect(put(base, "hint", "y").hint).toBe("y");
    expect(without(base, "tags")).not.toHaveProperty("tags");
    expect(base.hint).toBe("x");
  });
});

describe("files", () => {
  it("that are too large are refused before they are sent, with their name and size", () => {
    const picture = { name: "sea.png", type: "image/png", size: 30_000_000 };
    expect(tooLarge(picture)).toContain("“sea.png” is 30 MB. The limit is 10 MB.");
    expect(tooLarge({ ...picture, size: 9_000_000 })).toBe("");
    expect(tooLarge({ name: "p.pdf", type: "application/pdf", size: 30_000_000 })).toBe("");
    expect(tooLarge({ name: "p.pdf", type: "application/pdf", size: 41_000_000 })).toContain(
      "The limit is 40 MB",
    );
  });
});
