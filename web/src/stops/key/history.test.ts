import { describe, expect, it } from "vitest";
import { changing, type History, none, redone, STILL, undone } from "./history";

/** Types a word letter after letter into a field. */
function types(
  h: History<string>,
  from: string,
  word: string,
  field: unknown,
  at: number,
): [History<string>, string] {
  let history = h;
  let text = from;
  for (const [i, letter] of [...word].entries()) {
    history = changing(history, text, field, at + i * 100);
    text += letter;
  }
  return [history, text];
}

describe("undo in the key", () => {
  it("goes by edit, not by letter, and redo brings the edit back", () => {
    let [h, text] = types(none<string>(), "", "bowline", "prompt", 0);
    [h, text] = types(h, text, " knot", "prompt", 60_000);
    expect(text).toBe("bowline knot");
    const [h1, once] = undone(h, text) ?? [h, ""];
    expect(once).toBe("bowline");
    const [h2, twice] = undone(h1, once) ?? [h, "?"];
    expect(twice).toBe("");
    expect(undone(h2, twice)).toBeNull();
    const [h3, again] = redone(h2, twice) ?? [h, ""];
    expect(again).toBe("bowline");
    expect(redone(h3, again)?.[1]).toBe("bowline knot");
  });

  it("begins a new edit in another field, after a pause, and at each choice", () => {
    expect(changing(changing(none<number>(), 1, "a", 0), 2, "b", 10).past).toEqual([1, 2]);
    expect(changing(changing(none<number>(), 1, "a", 0), 2, "a", STILL + 1).past).toEqual([1, 2]);
    expect(changing(changing(none<number>(), 1, null, 0), 2, null, 10).past).toEqual([1, 2]);
    expect(changing(changing(none<number>(), 1, "a", 0), 2, "a", 10).past).toEqual([1]);
  });

  it("has nothing to redo once something else was changed", () => {
    const typed = changing(none<string>(), "a", null, 0);
    const [back] = undone(typed, "b") ?? [typed];
    expect(redone(changing(back, "a", null, 1), "c")).toBeNull();
  });
});
