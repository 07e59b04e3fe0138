import type { Item, Rubric } from "../definition";

/** From where on an open answer counts as mastered: nothing, a level of the rubric, or points. */
export type Bound = { kind: "none" } | { kind: "level"; id: string } | { kind: "points"; points: string };

export type LevelName = { id: string; name: string };

/** The levels of a rubric, each id once, with what they mean in its first criterion that has them. */
export function levelsOf(rubric: Rubric | undefined): LevelName[] {
  const names = new Map<string, string>();
  for (const level of rubric?.criteria.flatMap((c) => c.levels) ?? []) {
    if (!names.has(level.id)) {
      names.set(level.id, level.text);
    }
  }
  return [...names].map(([id, name]) => ({ id, name }));
}

const isLevel = (rubric: Rubric | undefined, id: string) => levelsOf(rubric).some((l) => l.id === id);

/** A bound that names a level of the rubric is a level; else it is points. */
export function boundOf(item: Item): Bound {
  const mastery = item.mastery;
  if (mastery === undefined) {
    return { kind: "none" };
  }
  if (isLevel(item.rubric, mastery)) {
    return { kind: "level", id: mastery };
  }
  const plain = mastery.replace(/\.0$/, "");
  return { kind: "points", points: isLevel(item.rubric, plain) ? plain : mastery };
}

/** Points that read like the id of a level are written with a decimal, so that they stay points. */
export function masteryOf(rubric: Rubric | undefined, bound: Bound): string | undefined {
  switch (bound.kind) {
    case "none":
      return undefined;
    case "level":
      return bound.id;
    case "points":
      return isLevel(rubric, bound.points) ? `${bound.points}.0` : bound.points;
  }
}
