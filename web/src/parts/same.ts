/** Whether two plain values say the same, whatever the order of their fields. */
export const same = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);

function canonical(value: unknown): string {
  return JSON.stringify(value, (_, v) =>
    v !== null && typeof v === "object" && !Array.isArray(v)
      ? Object.fromEntries(Object.entries(v).sort(([a], [b]) => (a < b ? -1 : 1)))
      : v,
  );
}
