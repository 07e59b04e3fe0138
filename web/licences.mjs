// Which packages the pages are made of, with their licences. What does not fit Apache 2.0 fails the build until somebody
// has looked at it. Packages that only build the pages are not shipped and not listed.
import { readFileSync, writeFileSync } from "node:fs";

const FITS = [
  "Apache-2.0",
  "MIT",
  "MIT-0",
  "ISC",
  "BSD",
  "BSD-2-Clause",
  "BSD-3-Clause",
  "0BSD",
  "OFL-1.1",
  "CC0-1.0",
  "Unicode-3.0",
];

/** A choice fits when one of it does; "and" needs both. */
export function fits(licence) {
  const bare = licence.replace(/[()]/g, "");
  return bare.split(/ OR /).some((one) => one.split(/ AND /).every((l) => FITS.includes(l.trim())));
}

export function shipped(lock, read) {
  return Object.entries(lock.packages)
    .filter(([path, p]) => path.startsWith("node_modules/") && !p.dev && !p.devOptional && !p.optional)
    .map(([path, p]) => ({
      name: path.replace(/^.*node_modules\//, ""),
      version: p.version,
      licence: p.license ?? read(path).license ?? "none named",
    }))
    .sort((a, b) => a.name.localeCompare(b.name));
}

function main() {
  const lock = JSON.parse(readFileSync("package-lock.json", "utf8"));
  const all = shipped(lock, (path) => JSON.parse(readFileSync(`${path}/package.json`, "utf8")));
  const unfit = all.filter((p) => !fits(p.licence));
  if (unfit.length > 0) {
    console.error("These packages have a licence that nobody has allowed (web/licences.mjs):");
    for (const p of unfit) {
      console.error(`  ${p.name} ${p.version}: ${p.licence}`);
    }
    process.exit(1);
  }
  const lines = all.map((p) => `     (${p.licence}) ${p.name} ${p.version}`);
  writeFileSync("dist/third-party-web.txt", `Packages of the pages: ${all.length}.\n\n${lines.join("\n")}\n`);
}

if (import.meta.url === `file://${process.argv[1]}`) {
  main();
}
