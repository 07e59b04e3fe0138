import { type Item, put } from "../definition";
import { FIRST, madeTo, openRow, SECOND } from "./grid";

/** A change to a stretch of rows, or what is not understood about it. */
export type Several = { from: number; to: number; apply: (item: Item) => Item } | { fault: string };

/**
 * Reads a line such as `6-9 true/false`, `10 to 14 F–J`, `all 2 points`, `14-16 C1.4`, `20 number`, `24 open 0-4 from 3`,
 * `6-9 ABCDE`.
 */
export function readSeveral(line: string, rows: number, codes: string[]): Several {
  const found = /^\s*(all|\d+)(?:\s*(?:-|–|to|\.\.)\s*(\d+))?\s*:?\s+(.+?)\s*$/i.exec(line);
  if (!found) {
    return { fault: "Type the rows first (such as 6-9, or all), then what they should be." };
  }
  const all = found[1]?.toLowerCase() === "all";
  const from = all ? 1 : Number(found[1]);
  const to = all ? rows : Number(found[2] ?? found[1]);
  if (from < 1 || to > rows || from > to) {
    return { fault: `there are rows 1 to ${rows}` };
  }
  const apply = readWhat(found[3] ?? "", codes);
  return typeof apply === "string" ? { fault: apply } : { from, to, apply };
}

function readWhat(what: string, codes: string[]): ((item: Item) => Item) | string {
  const points = /^([\d./]+)\s*(?:points?|pts?)$/i.exec(what);
  if (points) {
    return (item) => ({ ...item, points: points[1] ?? "1" });
  }
  if (/^(true\s*\/\s*false|t\s*\/\s*f)$/i.test(what)) {
    return (item) => madeTo(item, "truth", []);
  }
  if (/^numbers?$/i.test(what)) {
    return (item) => madeTo(item, "number", []);
  }
  const open = /^open(?:\s+0?\s*[-–]?\s*([\d./]+))?(?:\s+(?:from|mastered from)\s+([\d./]+))?$/i.exec(what);
  if (open) {
    return (item) => openRow(madeTo(item, "open", []), open[1] ?? item.points ?? "1", open[2] ?? "");
  }
  const letters = lettersIn(what);
  if (letters) {
    return (item) => madeTo(item, "letters", letters);
  }
  const code = codes.find((c) => c.toLowerCase() === what.toLowerCase());
  if (code) {
    return (item) =>
      put(item, "standards", [...(item.standards ?? []).filter((s) => s.code !== code), { code }]);
  }
  return `“${what}” is not a kind of row, a number of points, a set of letters or a standard's code.`;
}

/** `A-E`, `F–J` or `ABCD`; a stretch leaves out the letters that its alphabet leaves out. */
function lettersIn(what: string): string[] | null {
  const stretch = /^([A-Z])\s*[-–]\s*([A-Z])$/i.exec(what);
  if (stretch) {
    for (const alphabet of [FIRST, SECOND]) {
      const from = alphabet.indexOf((stretch[1] ?? "").toUpperCase());
      const to = alphabet.indexOf((stretch[2] ?? "").toUpperCase());
      if (from === 0 && to >= 1) {
        return [...alphabet.slice(0, to + 1)];
      }
    }
    return null;
  }
  return /^[A-Z]{2,8}$/.test(what) && new Set(what).size === what.length ? [...what] : null;
}
