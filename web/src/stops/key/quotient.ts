const divisor = (a: number, b: number): number => (b === 0 ? a || 1 : divisor(b, a % b));

/** One whole number divided by another, exactly: `5/2` where it does not come out even. */
export function quotient(above: number, below: number): string {
  const by = divisor(above, below);
  return below === by ? String(above / by) : `${above / by}/${below / by}`;
}
