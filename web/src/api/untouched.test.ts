import { expect, it } from "vitest";
import { isUntouched } from "./untouched";

it("what a page asks by itself is no doing, but for students at work", () => {
  const later = Date.now() + 61_000;
  expect(isUntouched("/api/desk")).toBe(false);
  expect(isUntouched("/api/desk", later)).toBe(true);
  expect(isUntouched("/api/student/attempts/{attempt}", later)).toBe(false);
});
