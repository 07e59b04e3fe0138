import { describe, expect, it } from "vitest";
import { figure, percent, points, pointsInWords, stretch } from "./figures";

describe("numbers as people write them", () => {
  it("writes halves and quarters as such", () => {
    expect(points("22.5")).toBe("22½");
    expect(points("0.25")).toBe("¼");
    expect(points("-0.75")).toBe("−¾");
  });
  it("says points in words, one as one", () => {
    expect(pointsInWords("1")).toBe("1 point");
    expect(pointsInWords("0.5")).toBe("½ point");
    expect(pointsInWords("2")).toBe("2 points");
  });
  it("writes thirds that have no decimals", () => {
    expect(points("2/3")).toBe("⅔");
    expect(points("7/3")).toBe("2⅓");
    expect(points("5/7")).toBe("5/7");
  });
  it("keeps other decimals and whole numbers", () => {
    expect(points("1.2")).toBe("1.2");
    expect(points("30")).toBe("30");
    expect(points("0")).toBe("0");
  });
  it("shows the decimals that a percent came with, and a dash for none", () => {
    expect(percent("75.0")).toBe("75.0%");
    expect(percent(null)).toBe("–");
  });
  it("shows an undefined figure as a dash, never as zero", () => {
    expect(figure(null)).toBe("–");
    expect(figure(-0.123)).toBe("−0.12");
    expect(figure(0)).toBe("0.00");
  });
  it("counts time down in minutes and seconds", () => {
    expect(stretch(702)).toBe("11:42");
    expect(stretch(3930)).toBe("1:05:30");
    expect(stretch(-5)).toBe("0:00");
    expect(stretch(0)).toBe("0:00");
    expect(stretch(65)).toBe("1:05");
  });
});
