import { describe, expect, it } from "vitest";
import { ahead, warningAt } from "./warnings";

describe("warnings before the end", () => {
  it("come at ten, five and one minute, and not in between", () => {
    expect(warningAt(601)).toBeNull();
    expect(warningAt(600)).toBe(10);
    expect(warningAt(571)).toBe(10);
    expect(warningAt(570)).toBeNull();
    expect(warningAt(300)).toBe(5);
    expect(warningAt(60)).toBe(1);
    expect(warningAt(30)).toBeNull();
    expect(warningAt(0)).toBeNull();
  });

  it("follow the server's clock, whatever the device's says", () => {
    expect(ahead("2026-11-02T10:00:00Z", Date.parse("2026-11-02T09:50:00Z"))).toBe(600_000);
    expect(ahead("2026-11-02T10:00:00Z", Date.parse("2026-11-02T10:00:05Z"))).toBe(-5_000);
  });
});
