import type { FrameworkFile } from "../../stops/key/definition";

export type Standard = FrameworkFile["standards"][number];

/** The standards with how deep each stands, every one behind its parent and its parent's earlier children. */
export function inTree(standards: Standard[]): { standard: Standard; depth: number }[] {
  const below = (parent: string | undefined, depth: number): { standard: Standard; depth: number }[] =>
    standards
      .filter((s) => s.parent === parent)
      .flatMap((s) => [{ standard: s, depth }, ...below(s.code, depth + 1)]);
  return below(undefined, 0);
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
