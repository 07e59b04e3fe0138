import { expect, test } from "vitest";
// @ts-expect-error a script of the build, without types
import { fits, shipped } from "./licences.mjs";

test("what fits Apache 2.0 may be shipped, a choice by one of it, and nothing else", () => {
  expect(["MIT", "OFL-1.1", "(MPL-2.0 OR Apache-2.0)", "MIT AND ISC"].map(fits)).toEqual([
    true,
    true,
    true,
    true,
  ]);
  expect(["GPL-3.0", "AGPL-3.0-only", "MIT AND GPL-2.0", "UNLICENSED", "none named"].some(fits)).toBe(false);
});

test("what only builds the pages is not listed, and a package that names no licence is found", () => {
  const lock = {
    packages: {
      "": { name: "ours" },
      "node_modules/b": { version: "1.0.0", license: "MIT" },
      "node_modules/a": { version: "2.0.0" },
      "node_modules/a/node_modules/c": { version: "3.0.0", license: "ISC" },
      "node_modules/builds": { version: "4.0.0", license: "GPL-3.0", dev: true },
    },
  };
  const found = shipped(lock, () => ({}));
  expect(found).toEqual([
    { name: "a", version: "2.0.0", licence: "none named" },
    { name: "b", version: "1.0.0", licence: "MIT" },
    { name: "c", version: "3.0.0", licence: "ISC" },
  ]);
});
