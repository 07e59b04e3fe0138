import type { Schemas } from "../../api/client";

export type DrawnMark = Schemas["DrawnMark"];
export type Tool = DrawnMark["kind"];
export type Point = [number, number];

/** Of a page's width; nearer than that, a point says nothing new. */
const NEAR = 0.002;
/** As many as a line may have. */
export const MOST_POINTS = 500;

const DIGITS = 10_000;
const onPage = (v: number) => Math.round(Math.max(0, Math.min(1, v)) * DIGITS) / DIGITS;

/** A place on the page: beside it there is none. */
export const pointAt = (x: number, y: number): Point => [onPage(x), onPage(y)];

/** A line with one point more, if that says anything new. */
export function withPoint(line: Point[], x: number, y: number): Point[] {
  const next = pointAt(x, y);
  const last = line.at(-1);
  return last && Math.hypot(next[0] - last[0], next[1] - last[1]) < NEAR ? line : [...line, next];
}

/** As an SVG draws it, on a page of this size; a single point is a dot. */
export function pathOf(points: number[][], width: number, height: number): string {
  const at = ([x = 0, y = 0]: number[]) => `${x * width} ${y * height}`;
  const [first = [], ...rest] = points;
  return `M ${at(first)} ${rest.length === 0 ? `L ${at(first)}` : rest.map((p) => `L ${at(p)}`).join(" ")}`;
}

/** The notes of an attachment in their order, each with the number that stands at its place. */
export const notesOf = (marks: DrawnMark[], file: string): DrawnMark[] =>
  marks.filter((m) => m.file === file && m.kind === "NOTE");
