import { describe, expect, it } from "vitest";
import { newItem } from "../../stops/key/definition";
import { paperOf } from "../../stops/key/paperOf";
import { pagesOf } from "./pages";
import { reachedScreen, screenOf, screensOf } from "./screens";

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
    expect(mixed.map((i) => screenOf(screensOf(pages, "ONE"), i.id))).toEqual([0, 0, 1, 2, 3]);
  });
  it("find a reason on the page of its choice, so that the last look leads there", () => {
    const numbered = items.map((i, n) => ({ ...i, number: i.kind === "passage" ? 0 : n + 1 }));
    const screens = screensOf(pagesOf(numbered), "ONE");
    expect(screenOf(screens, "q2")).toBe(0);
    expect(screenOf(screens, "q3")).toBe(2);
  });
  it("make one screen of a part or of all, where the teacher says so", () => {
    const parted = items.map((i, n) => ({ ...i, part: n < 3 ? "one" : "two" }));
    const pages = pagesOf(parted);
    const ids = (asking: "ONE" | "PART" | "ALL") =>
      screensOf(pages, asking).map((screen) => screen.map((p) => p.item.id));
    expect(ids("ONE")).toEqual([["q1"], ["p2"], ["q3"]]);
    expect(ids("PART")).toEqual([["q1"], ["p2", "q3"]]);
    expect(ids("ALL")).toEqual([["q1", "p2", "q3"]]);
  });
  it("begin where one has gone on to, where there is no way back", () => {
    const screens = screensOf(pagesOf(items), "ONE");
    const rules = { goingBack: false, reached: 3 } as Parameters<typeof reachedScreen>[2];
    expect(reachedScreen(screens, items, rules)).toBe(1);
    expect(reachedScreen(screens, items, { ...rules, goingBack: true })).toBe(0);
    expect(reachedScreen(screens, items, { ...rules, reached: 4 })).toBe(2);
  });
  it("give a reason its own page when its choice was not drawn", () => {
    expect(pagesOf(items.slice(2)).map((p) => p.item.id)).toEqual(["q2", "p2", "q3"]);
  });
});
