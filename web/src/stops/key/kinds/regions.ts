import type { Region } from "../definition";

export type Point = { x: number; y: number };
export type Shape = "circle" | "rect" | "polygon";

/** Four decimals are finer than a pixel of any picture, and read well in a file. */
export const fixed = (n: number): string => String(Math.round(Math.min(1, Math.max(0, n)) * 10_000) / 10_000);

/** The height of a picture as a share of its width, as the file keeps it. */
export const ratio = (heightToWidth: number): string => String(Math.round(heightToWidth * 10_000) / 10_000);

/** A region between where a drag began and where it is; a circle is drawn from its centre. */
export function drawn(shape: Shape, id: string, from: Point, to: Point, aspect: number): Region | null {
  if (shape === "circle") {
    const radius = Math.hypot(to.x - from.x, (to.y - from.y) * aspect);
    return radius < 0.004 ? null : { id, circle: [fixed(from.x), fixed(from.y), fixed(radius)] };
  }
  const [left, right] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
  const [top, bottom] = [Math.min(from.y, to.y), Math.max(from.y, to.y)];
  return right - left < 0.004 || bottom - top < 0.004
    ? null
    : { id, rect: [left, top, right, bottom].map(fixed) };
}

export function polygon(id: string, corners: Point[]): Region | null {
  return corners.length < 3 ? null : { id, polygon: corners.map((c) => [fixed(c.x), fixed(c.y)]) };
}

/** Moved by a share of the width and height, held on the picture. */
export function moved(region: Region, dx: number, dy: number): Region {
  const x = (n: string | undefined) => fixed(Number(n) + dx);
  const y = (n: string | undefined) => fixed(Number(n) + dy);
  if (region.circle) {
    return { ...region, circle: [x(region.circle[0]), y(region.circle[1]), region.circle[2] ?? "0.05"] };
  }
  if (region.rect) {
    const [l, t, r, b] = region.rect;
    return { ...region, rect: [x(l), y(t), x(r), y(b)] };
  }
  return { ...region, polygon: (region.polygon ?? []).map((c) => [x(c[0]), y(c[1])]) };
}

/** Made larger or smaller about its middle. */
export function scaled(region: Region, by: number): Region {
  if (region.circle) {
    const [cx, cy, r] = region.circle;
    return { ...region, circle: [cx ?? "0", cy ?? "0", fixed(Number(r) * by)] };
  }
  const corners = region.rect
    ? [
        [region.rect[0], region.rect[1]],
        [region.rect[2], region.rect[3]],
      ]
    : (region.polygon ?? []);
  const mx = corners.reduce((sum, c) => sum + Number(c[0]), 0) / corners.length;
  const my = corners.reduce((sum, c) => sum + Number(c[1]), 0) / corners.length;
  const far = corners.map((c) => [
    fixed(mx + (Number(c[0]) - mx) * by),
    fixed(my + (Number(c[1]) - my) * by),
  ]);
  return region.rect ? { ...region, rect: far.flat() } : { ...region, polygon: far };
}
