const cells = () => [...document.querySelectorAll<HTMLInputElement>("input[data-cell]")];

/** Goes to the next cell that is unread, from one on; nowhere where there is none. */
export function nextUnread(from: HTMLInputElement | null) {
  const all = cells();
  const at = from ? all.indexOf(from) : -1;
  const inTurn = [...all.slice(at + 1), ...all.slice(0, Math.max(0, at))];
  (inTurn.find((c) => c.dataset.cell === "unread") ?? inTurn[0])?.select();
}

/** Goes to a cell beside, above or below. */
export function step(from: HTMLInputElement, rows: number, columns: number) {
  const cell = from.closest("td");
  const row = cell?.parentElement as HTMLTableRowElement | null;
  const table = row?.parentElement as HTMLTableSectionElement | null;
  if (cell && row && table) {
    const rowsOf = [...table.rows];
    const next = rowsOf[rowsOf.indexOf(row) + rows]?.cells[cell.cellIndex + columns];
    next?.querySelector("input")?.select();
  }
}
