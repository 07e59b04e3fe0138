import { describe, expect, it } from "vitest";
import { labelsOf, switched } from "./labels";

describe("labels of an assessment", () => {
  it("takes each once, whatever the case, and drops what is left over", () => {
    expect(labelsOf(" chart  work, Year 1;; YEAR 1 ,exam,")).toEqual(["chart work", "Year 1", "exam"]);
    expect(labelsOf(" , ")).toEqual([]);
  });

  it("adds one that is not there and takes away one that is", () => {
    expect(switched("exam", "Year 1")).toBe("exam, Year 1");
    expect(switched("exam, year 1", "Year 1")).toBe("exam");
    expect(switched("", "exam")).toBe("exam");
  });
});
