import type { FrameworkFile } from "../../stops/key/definition";

export type Standard = FrameworkFile["standards"][number];

const MOST_LEVELS = 20;

/** The standards with how deep each stands, every one behind its parent and its parent's earlier children. */
export function inTree(standards: Standard[]): { standard: Standard; depth: number }[] {
  const children = new Map<string | undefined, Standard[]>();
  for (const s of standards) {
    const siblings = children.get(s.parent) ?? [];
    siblings.push(s);
    children.set(s.parent, siblings);
  }
  const seen = new Set<Standard>();
  const all: { standard: Standard; depth: number }[] = [];
  const below = (parent: string | undefined, depth: number) => {
    for (const standard of children.get(parent) ?? []) {
      // A file with equal codes, or with more levels than people make, is shown as far as it is a tree.
      if (!seen.has(standard) && depth < MOST_LEVELS) {
        seen.add(standard);
        all.push({ standard, depth });
        below(standard.code, depth + 1);
      }
    }
  };
  below(undefined, 0);
  return all;
}

/** A code that is free below a parent: T1 gives T1.1; the topmost give the next letter or number. */
export function nextCode(standards: Standard[], parent: string | undefined): string {
  const taken = new Set(standards.map((s) => s.code));
  const make = (n: number) =>
    parent === undefined ? `N${n}` : /\d$/.test(parent) ? `${parent}.${n}` : `${parent}${n}`;
  let n = standards.filter((s) => s.parent === parent).length + 1;
  while (taken.has(make(n))) {
    n++;
  }
  return make(n);
}

/** Without a standard; what stood below it stands below its parent. */
export function removed(standards: Standard[], code: string): Standard[] {
  const parent = standards.find((s) => s.code === code)?.parent;
  return standards.filter((s) => s.code !== code).map((s) => (s.parent === code ? under(s, parent) : s));
}

/** A code changed everywhere; one that is taken stays as it was. */
export function recoded(standards: Standard[], from: string, to: string): Standard[] {
  if (to.trim() === "" || standards.some((s) => s.code === to)) {
    return standards;
  }
  return standards.map((s) => {
    const own = s.code === from ? { ...s, code: to } : s;
    return own.parent === from ? { ...own, parent: to } : own;
  });
}

export function under(standard: Standard, parent: string | undefined): Standard {
  const { parent: _, ...rest } = standard;
  return parent === undefined ? rest : { ...rest, parent };
}

/** The codes under which a standard may stand: not itself, and nothing below itself. */
export function possibleParents(standards: Standard[], code: string): string[] {
  const own = new Set([code]);
  for (let grew = true; grew; ) {
    grew = false;
    for (const s of standards) {
      if (s.parent && own.has(s.parent) && !own.has(s.code)) {
        own.add(s.code);
        grew = true;
      }
    }
  }
  return standards.map((s) => s.code).filter((c) => !own.has(c));
}
