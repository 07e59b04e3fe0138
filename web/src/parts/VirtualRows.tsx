import { useWindowVirtualizer } from "@tanstack/react-virtual";
import { type ReactNode, useEffect, useLayoutEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";

const FEW = 150;

/** The rows of a long table: only those near the screen are in the page, so that thousands scroll smoothly. */
export function VirtualRows<T>({
  rows,
  height,
  columns,
  overscan = 25,
  children,
}: {
  rows: T[];
  height: number;
  columns: number;
  /** How many rows above and below the screen are drawn, too; fewer where a row has very many cells. */
  overscan?: number;
  children: (row: T) => ReactNode;
}) {
  // On paper nothing scrolls: every row is there.
  const printing = usePrinting();
  return rows.length <= FEW || printing ? (
    <tbody>{rows.map(children)}</tbody>
  ) : (
    <ManyRows rows={rows} height={height} columns={columns} overscan={overscan}>
      {children}
    </ManyRows>
  );
}

function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const before = () => flushSync(() => setPrinting(true));
    const after = () => setPrinting(false);
    window.addEventListener("beforeprint", before);
    window.addEventListener("afterprint", after);
    return () => {
      window.removeEventListener("beforeprint", before);
      window.removeEventListener("afterprint", after);
    };
  }, []);
  return printing;
}

function ManyRows<T>({
  rows,
  height,
  columns,
  overscan = 25,
  children,
}: {
  rows: T[];
  height: number;
  columns: number;
  /** How many rows above and below the screen are drawn, too; fewer where a row has very many cells. */
  overscan?: number;
  children: (row: T) => ReactNode;
}) {
  const body = useRef<HTMLTableSectionElement>(null);
  const [offset, setOffset] = useState(0);
  useLayoutEffect(() => {
    setOffset(body.current?.offsetTop ?? 0);
  }, []);
  const virtual = useWindowVirtualizer({
    count: rows.length,
    estimateSize: () => height,
    overscan,
    scrollMargin: offset,
  });
  const shown = virtual.getVirtualItems();
  const first = shown[0];
  const last = shown.at(-1);
  const before = first ? first.start - offset : 0;
  const after = last ? virtual.getTotalSize() - (last.end - offset) : 0;
  return (
    <tbody ref={body}>
      <Spacer height={before} columns={columns} />
      {shown.map((v) => children(rows[v.index] as T))}
      <Spacer height={after} columns={columns} />
    </tbody>
  );
}

function Spacer({ height, columns }: { height: number; columns: number }) {
  return height > 0 ? (
    <tr>
      <td colSpan={columns} style={{ height }} />
    </tr>
  ) : null;
}
