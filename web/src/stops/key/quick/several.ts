import { type Aligned, type Item, put } from "../definition";
import { quotient } from "../quotient";

/** The questions that are named by their numbers, such as `1-5, 8`; null where it cannot be read. */
export function numbered(written: string, items: Item[]): Item[] | null {
  const asked = items.filter((i) => i.kind !== "passage");
  if (written.trim() === "") {
    return asked;
  }
  const chosen = new Set<Item>();
  for (const part of written.split(/[,;\s]+/).filter(Boolean)) {
    const m = /^(\d{1,4})(?:[-–](\d{1,4}))?$/.exec(part);
    const from = Number(m?.[1]);
    const to = Number(m?.[2] ?? m?.[1]);
    if (!m || from < 1 || to > asked.length || from > to) {
      return null;
    }
    for (const item of asked.slice(from - 1, to)) {
      chosen.add(item);
    }
  }
  return [...chosen];
}

/** A number of points shared out evenly, exactly: a quotient where it does not come out even. */
export function shareOf(total: string, among: number): string | null {
  const m = /^(\d{1,6})(?:[.,](\d{1,4}))?$/.exec(total.trim());
  if (!m || among < 1) {
    return null;
  }
  const scale = 10 ** (m[2]?.length ?? 0);
  const top = Number(m[1]) * scale + Number(m[2] ?? 0);
  return top === 0 ? null : quotient(top, scale * among);
}

/** What is set for several questions at once; what is not given stays as it is. */
export type Together = { points?: string; standards?: Aligned[]; tags?: string[] };

/** Standards and tags are added to those that are there. */
export function setTogether(items: Item[], chosen: Item[], set: Together): Item[] {
  const ids = new Set(chosen.map((i) => i.id));
  return items.map((i) => {
    if (!ids.has(i.id)) {
      return i;
    }
    const codes = new Set((i.standards ?? []).map((s) => s.code));
    const standards = [...(i.standards ?? []), ...(set.standards ?? []).filter((s) => !codes.has(s.code))];
    const tags = [...new Set([...(i.tags ?? []), ...(set.tags ?? [])])];
    return put(
      put({ ...i, ...(set.points ? { points: set.points } : {}) }, "standards", standards),
      "tags",
      tags,
    );
  });
}
