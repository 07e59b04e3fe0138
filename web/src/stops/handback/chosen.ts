import type { Schemas } from "../../api/client";

export type Line = Schemas["HandBackLine"];
type View = Schemas["HandBackView"];
export type Group = Schemas["GroupCount"]["group"];

/** Who is chosen: whole groups, but for some, and some by name beside them. */
export type Chosen = { groups: Group[]; but: Line[]; beside: Line[] };

/** Who is chosen at first: everything decided, and not handed back as it is now. */
export const AT_FIRST: Chosen = { groups: ["READY", "CHANGED"], but: [], beside: [] };
export const NOBODY: Chosen = { groups: [], but: [], beside: [] };

const has = (lines: Line[], line: Line) => lines.some((l) => l.attempt === line.attempt);
const without = (lines: Line[], line: Line) => lines.filter((l) => l.attempt !== line.attempt);

export function isChosen(chosen: Chosen, line: Line): boolean {
  return chosen.groups.includes(line.group) ? !has(chosen.but, line) : has(chosen.beside, line);
}

/** Whether all of a group are chosen. */
export function isWhole(chosen: Chosen, group: Group): boolean {
  return chosen.groups.includes(group) && !chosen.but.some((l) => l.group === group);
}

export function toggleGroup(chosen: Chosen, group: Group, on: boolean): Chosen {
  return {
    groups: on ? [...new Set([...chosen.groups, group])] : chosen.groups.filter((g) => g !== group),
    but: chosen.but.filter((l) => l.group !== group),
    beside: chosen.beside.filter((l) => l.group !== group),
  };
}

export function toggleLine(chosen: Chosen, line: Line, on: boolean): Chosen {
  const whole = chosen.groups.includes(line.group);
  const add = (lines: Line[], yes: boolean) => [...without(lines, line), ...(yes ? [line] : [])];
  return {
    groups: chosen.groups,
    but: add(chosen.but, whole && !on),
    beside: add(chosen.beside, !whole && on),
  };
}

/** How many are chosen, of all or of those with one band. */
export function count(view: View, chosen: Chosen, band?: string): number {
  const of = (lines: Line[]) => lines.filter((l) => band === undefined || l.band === band).length;
  const inGroups = view.groups
    .filter((g) => chosen.groups.includes(g.group))
    .map((g) => (band === undefined ? g.students : (g.bands[band] ?? 0)));
  return inGroups.reduce((sum, n) => sum + n, 0) - of(chosen.but) + of(chosen.beside);
}
