export type Step = "add" | "scaleTo" | "root" | "line";

/** A step of the curve as the file has it, from what is typed. */
export function stepOf(kind: Step, typed: string): Record<string, unknown> {
  switch (kind) {
    case "root":
      return { root: true };
    case "line": {
      const [x1 = "", y1 = "", x2 = "", y2 = ""] = typed.trim().split(/[\s;]+/);
      return {
        line: [
          [x1, y1],
          [x2, y2],
        ],
      };
    }
    default:
      return { [kind]: typed };
  }
}

export function stepKind(step: Record<string, unknown>): Step {
  return (["add", "scaleTo", "root", "line"] as const).find((k) => k in step) ?? "add";
}
