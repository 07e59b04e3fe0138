import { describe, expect, it } from "vitest";
import { newItem } from "../../stops/key/definition";
import { paperOf } from "../../stops/key/paperOf";
import { pagesOf } from "./pages";

const item = (id: string, kind: "choice" | "open" | "passage", more: object = {}) =>
  paperOf({ ...newItem(kind, []), id, ...more });

describe("the pages of a sitting", () => {
  const items = [
    item("p1", "passage"),
    item("q1", "choice", { stem: "p1" }),
    item("q2", "open", { stem: "p1", reasonFor: "q1" }),
    item("p2", "passage"),
    item("q3", "choice"),
  ];
  it("show a shared passage with its items and a reason beneath its choice", () => {
    expect(pagesOf(items).map((p) => [p.item.id, p.stem?.id, p.reasons.map((r) => r.id)])).toEqual([
      ["q1", "p1", ["q2"]],
      ["p2", undefined, []],
      ["q3", undefined, []],
    ]);
  });
  it("give a reason its own page when its choice was not drawn", () => {
    expect(pagesOf(items.slice(2)).map((p) => p.item.id)).toEqual(["q2", "p2", "q3"]);
  });
});
