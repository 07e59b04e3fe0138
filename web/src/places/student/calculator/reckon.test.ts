import { describe, expect, it } from "vitest";
import { reckon, shown } from "./reckon";

const deg = (line: string) => {
  const value = reckon(line, "deg");
  return value === null ? null : shown(value);
};

describe("the calculator", () => {
  it("multiplies before it adds, and raises before it multiplies", () => {
    expect(deg("2+3×4")).toBe("14");
    expect(deg("2×3²+1")).toBe("19");
    expect(deg("2^3^2")).toBe("512");
    expect(deg("−2²")).toBe("−4");
    expect(deg("12÷3÷2")).toBe("2");
    expect(deg("10−2−3")).toBe("5");
    expect(deg("2×−3")).toBe("−6");
    expect(deg("2^−1")).toBe("0.5");
  });

  it("multiplies what stands side by side, and closes what is open at the end", () => {
    expect(deg("2π")).toBe("6.28318530718");
    expect(deg("3(2+1)")).toBe("9");
    expect(deg("2√9")).toBe("6");
    expect(deg("sin(30")).toBe("0.5");
    expect(deg("√(16)+1")).toBe("5");
  });

  it("takes angles in degrees or in radians", () => {
    expect(deg("cos(60)")).toBe("0.5");
    expect(deg("tan(45)")).toBe("1");
    expect(deg("sin(180)")).toBe("0");
    expect(deg("atan(1)")).toBe("45");
    expect(shown(reckon("sin(π÷2)", "rad") ?? 0)).toBe("1");
  });

  it("knows commas, per cent and logarithms, and shows what a person would write", () => {
    expect(deg("0,1+0.2")).toBe("0.3");
    expect(deg("50×10%")).toBe("5");
    expect(deg("log(1000)")).toBe("3");
    expect(deg("ln(e)")).toBe("1");
    expect(deg("2^70")).toBe("1.18059162072e21");
  });

  it("is a plain one where no more is allowed", () => {
    expect(reckon("√(9)×2^3", "none")).toBe(24);
    for (const line of ["sin(30)", "ln(2)", "2π", "e"]) {
      expect(reckon(line, "none"), line).toBeNull();
    }
  });

  it("says nothing of what it cannot read, and of what is no number", () => {
    for (const line of ["", "2+", "2 3", "×2", "(", "2)", "1÷0", "√(0−1)", "tan(90)", "x", "1..2"]) {
      expect(deg(line), line).toBeNull();
    }
  });
});
