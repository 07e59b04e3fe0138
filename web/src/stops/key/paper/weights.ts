import type { Part } from "../definition";
import { quotient } from "../quotient";

const HUNDRED = 100;

/** Whole weights that differ by at most one and sum to a hundred. */
export function spread(parts: Part[]): Part[] {
  const share = Math.floor(HUNDRED / parts.length);
  const left = HUNDRED - share * parts.length;
  return parts.map((p, i) => ({ ...p, weight: String(share + (i < left ? 1 : 0)) }));
}

/** The weights as shares of a hundred, exact as fractions where they do not come out even. */
export function scaled(parts: Part[]): Part[] {
  const units = parts.map((p) => thousandths(p.weight));
  const sum = units.reduce((a, b) => a + b, 0);
  if (sum === 0) {
    return spread(parts);
  }
  return parts.map((p, i) => ({ ...p, weight: quotient((units[i] ?? 0) * HUNDRED, sum) }));
}

const thousandths = (weight: string | undefined) =>
  Math.max(0, Math.round(Number(weight ?? "0") * 1000)) || 0;
