import type { FrameworkFile } from "./definition";

export type Found = { code: string; text: string; framework: FrameworkFile; level: number };

/** How deep a standard stands in its tree; the topmost are level 1. */
export function levelOf(framework: FrameworkFile, code: string): number {
  const standard = framework.standards.find((s) => s.code === code);
  return standard?.parent ? 1 + levelOf(framework, standard.parent) : 1;
}

/** Standards whose code begins with what is typed come first, then those whose words hold all that is typed. */
export function findStandards(frameworks: FrameworkFile[], typed: string, level: number | null): Found[] {
  const wanted = typed.trim().toLowerCase();
  const words = wanted.split(/\s+/);
  const all = frameworks.flatMap((framework) =>
    framework.standards.map((s) => ({
      code: s.code,
      text: s.text,
      framework,
      level: levelOf(framework, s.code),
    })),
  );
  const fits = all.filter((f) => {
    const said = `${f.code} ${f.text}`.toLowerCase();
    return (level === null || f.level === level) && words.every((w) => said.includes(w));
  });
  const rank = (f: Found) =>
    f.code.toLowerCase() === wanted ? 0 : f.code.toLowerCase().startsWith(wanted) ? 1 : 2;
  return fits.sort((a, b) => rank(a) - rank(b));
}
