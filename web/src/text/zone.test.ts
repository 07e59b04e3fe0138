import { afterEach, describe, expect, it } from "vitest";
import { moment, time } from "./figures";
import { fieldTime, fromField, setZone, zone } from "./zone";

describe("times stand in the school's zone", () => {
  const before = zone();
  afterEach(() => setZone(before));

  it("whatever the device is set to", () => {
    const noon = "2026-07-01T12:00:00Z";
    setZone("Europe/London");
    expect(time(noon)).toBe("13:00");
    setZone("America/New_York");
    expect(time(noon)).toBe("08:00");
  });

  it("and so does what is typed, on the days when clocks change as well", () => {
    for (const at of [
      "2026-03-29T00:59:00Z",
      "2026-03-29T01:00:00Z",
      "2026-03-08T07:30:00Z",
      "2026-10-25T03:00:00Z",
      "2026-11-28T23:30:00Z",
    ]) {
      for (const there of [
        "Europe/London",
        "America/New_York",
        "Pacific/Auckland",
        "America/St_Johns",
        "UTC",
      ]) {
        const typed = fieldTime(new Date(at), there);
        expect(fromField(typed, there).toISOString(), `${at} in ${there}`).toBe(new Date(at).toISOString());
      }
    }
  });

  it("and which day it is is decided there", () => {
    setZone("Pacific/Auckland");
    expect(moment("2026-11-27T20:00:00Z", new Date("2026-11-28T05:00:00Z"))).toBe("09:00");
    setZone("UTC");
    expect(moment("2026-11-27T20:00:00Z", new Date("2026-11-28T05:00:00Z"))).toContain("20:00");
    expect(moment("2026-11-27T20:00:00Z", new Date("2026-11-28T05:00:00Z"))).not.toBe("20:00");
  });

  it("and a school without one has the device's", () => {
    setZone("");
    expect(zone()).toBe(before);
  });
});
