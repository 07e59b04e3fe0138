import { describe, expect, it } from "vitest";
import { newItem } from "../../stops/key/definition";
import { paperOf } from "../../stops/key/paperOf";
import { pageOf, pagesOf } from "./pages";

const item = (id: string, kind: "choice" | "open" | "passage", more: object = {}) =>
  paperOf({ ...newItem(kind, []), id, prompt: id, ...more });

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
  it("put questions that are on paper into rows of one sheet, and say on which page each is answered", () => {
    const onPaper = (id: string) => item(id, "choice", { prompt: "" });
    const mixed = [
      onPaper("q1"),
      onPaper("q2"),
      item("q3", "open", { prompt: "Why?" }),
      onPaper("q4"),
      item("q5", "choice", { prompt: "Whither?" }),
    ].map((i, n) => ({ ...i, number: n + 1 }));
    const pages = pagesOf(mixed);
    expect(pages.map((p) => [p.item.id, p.rows.map((r) => r.id)])).toEqual([
      ["q1", ["q1", "q2"]],
      ["q3", []],
      ["q4", []],
      ["q5", []],
    ]);
    expect(mixed.map((i) => pageOf(pages, i.id))).toEqual([0, 0, 1, 2, 3]);
  });
  it("find a reason on the page of its choice, so that the last look leads there", () => {
    const numbered = items.map((i, n) => ({ ...i, number: i.kind === "passage" ? 0 : n + 1 }));
    expect(pageOf(pagesOf(numbered), "q2")).toBe(0);
    expect(pageOf(pagesOf(numbered), "q3")).toBe(2);
  });
  it("give a reason its own page when its choice was not drawn", () => {
    expect(pagesOf(items.slice(2)).map((p) => p.item.id)).toEqual(["q2", "p2", "q3"]);
  });
});
