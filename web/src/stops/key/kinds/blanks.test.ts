import { describe, expect, it } from "vitest";
import { newItem } from "../definition";
import { exchangeable, pieces, withBlanks, withoutPlaces } from "./blanks";

describe("blanks written in the sentence", () => {
  const typed = withBlanks(newItem("blanks", []), "After high water the stream [ebb|ebbs] until [slack].");
  it("become places with the words that are accepted there", () => {
    expect(typed.prompt).toBe("After high water the stream {b1} until {b2}.");
    expect(typed.parts?.map((p) => p.accept?.map((a) => a.text))).toEqual([["ebb", "ebbs"], ["slack"]]);
  });
  it("can be numbers and choices", () => {
    const both = withBlanks(newItem("blanks", []), "[=12.5 ± 2%] knots, [*ebb/flood]");
    expect(both.parts?.map((p) => p.kind)).toEqual(["number", "choice"]);
    expect(both.parts?.[0]?.accept).toEqual([{ value: "12.5", within: "2%" }]);
    expect(both.parts?.[1]?.key).toEqual(["a"]);
  });
  it("go with their place, and a bracket without words stays as it is", () => {
    const less = withBlanks(typed, "After high water the stream {b1} until [ ].");
    expect(less.parts?.map((p) => p.id)).toEqual(["b1"]);
    expect(less.prompt).toBe("After high water the stream {b1} until [ ].");
  });
  it("cut the sentence where they stand, and leave other braces alone", () => {
    expect(pieces("a {b1} b {x}", ["b1"])).toEqual(["a ", { blank: "b1" }, " b {x}"]);
  });
  it("stand in square brackets as well, as tables write them", () => {
    expect(pieces("a [b1] b [x]", ["b1"])).toEqual(["a ", { blank: "b1" }, " b [x]"]);
    const edited = withBlanks({ ...typed, prompt: "The stream [b1]." }, "The stream [b1]!");
    expect(edited.prompt).toBe("The stream {b1}!");
    expect(edited.parts?.map((p) => p.accept?.[0]?.text)).toEqual(["ebb", "slack"]);
  });
  it("are lines where nothing is filled in", () => {
    expect(withoutPlaces("The stream {b1} at {b12} {x}.")).toBe("The stream ____ at ____ {x}.");
  });
  it("may change places when they are of one kind and weight", () => {
    expect(exchangeable(typed)).toEqual(["b1", "b2"]);
    const heavier = {
      ...typed,
      parts: typed.parts?.map((p, i) => (i === 1 ? { ...p, weight: "2" } : p)) ?? [],
    };
    expect(exchangeable(heavier)).toEqual(["b1"]);
  });
});
