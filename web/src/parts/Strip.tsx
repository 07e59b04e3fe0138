const FILLS = {
  done: "bg-ink border-ink",
  person: "bg-by-person border-by-person",
  none: "bg-sheet border-rule",
  here: "bg-sheet border-waiting border-2",
};

/** A strip of small cells, one a student or an item; hidden from screen readers, who get the words beside it. */
export function Strip({ cells, size = "w-2.5" }: { cells: (keyof typeof FILLS)[]; size?: string }) {
  return (
    <span aria-hidden="true" className="inline-flex flex-wrap gap-0.5">
      {cells.map((cell, i) => (
        <span key={i} className={`inline-block h-4 border ${size} ${FILLS[cell]}`} />
      ))}
    </span>
  );
}
