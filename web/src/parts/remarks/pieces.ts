/** A part of a text, from a place on and up to another. */
export type Span = { from: number; to: number };

/** A part of a text over which the same of many spans lie: their places in the list. */
export type Piece = Span & { on: number[] };

/** Cuts a part of a text wherever one of the spans begins or ends. */
export function pieces({ from, to }: Span, spans: Span[]): Piece[] {
  const cuts = new Set([from, to]);
  for (const span of spans) {
    for (const cut of [span.from, span.to]) {
      if (cut > from && cut < to) {
        cuts.add(cut);
      }
    }
  }
  const inTurn = [...cuts].sort((a, b) => a - b);
  return inTurn.slice(0, -1).map((start, i) => {
    const end = inTurn[i + 1] as number;
    const on = [...spans.keys()].filter((s) => {
      const span = spans[s] as Span;
      return span.from < end && span.to > start;
    });
    return { from: start, to: end, on };
  });
}
