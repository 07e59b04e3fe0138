/** Signs at which a spreadsheet begins to compute. */
const COMPUTES = /^[=+@\t\r]|^-(?![\d.,]*$)/;

/** A cell as a spreadsheet takes it: what would be computed is text. */
export function harmless(cell: string): string {
  return COMPUTES.test(cell) ? `'${cell}` : cell;
}

/** Rows as CSV (RFC 4180), with formulas made harmless. */
export function toCsv(rows: string[][]): string {
  return `${rows.map((row) => row.map((c) => quoted(harmless(c))).join(",")).join("\r\n")}\r\n`;
}

function quoted(cell: string): string {
  return /[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell;
}

/** Rows as they are pasted into a spreadsheet: tabs between cells, a line a row. */
export function toTabs(rows: string[][]): string {
  return rows.map((row) => row.map((c) => harmless(c.replace(/\s+/g, " ").trim())).join("\t")).join("\n");
}
