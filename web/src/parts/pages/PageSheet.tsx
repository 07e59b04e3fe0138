import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { t } from "../../text";
import { type DrawnMark, MOST_POINTS, type Point, pathOf, pointAt, type Tool, withPoint } from "./marks";
import type { Page } from "./pagesOf";

const PEN = 0.004;
const HIGHLIGHTER = 0.025;
const STEP = 0.02;

/** One page with what is drawn on it. With a tool, it is drawn on by mouse, pen or finger; notes by the keyboard as well. */
export function PageSheet({
  page,
  label,
  marks,
  numbers,
  turn,
  tool,
  onDrawn,
}: {
  page: Page;
  label: string;
  marks: DrawnMark[];
  /** The number of each note, by its id. */
  numbers: Map<string, number>;
  /** Quarters of a turn to the right. */
  turn: number;
  tool: Tool | null;
  onDrawn?: ((points: Point[]) => void) | undefined;
}) {
  const inner = useRef<SVGGElement>(null);
  const [line, setLine] = useState<Point[] | null>(null);
  const [cross, setCross] = useState<Point | null>(null);
  const { width, height } = page;
  const across = turn % 2 === 1;
  const [w, h] = across ? [height, width] : [width, height];
  const at = (e: PointerEvent): Point => {
    const matrix = inner.current?.getScreenCTM()?.inverse();
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix);
    return [p.x / width, p.y / height];
  };
  const finish = (points: Point[]) => {
    setLine(null);
    if (points.length > 0) {
      onDrawn?.(points);
    }
  };
  const onKey = (e: KeyboardEvent) => {
    const moves: Record<string, Point> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, -STEP],
      ArrowDown: [0, STEP],
    };
    const move = moves[e.key];
    const from = cross ?? ([0.5, 0.5] as Point);
    if (tool === "NOTE" && move) {
      setCross(pointAt(from[0] + move[0], from[1] + move[1]));
    } else if (tool === "NOTE" && e.key === "Enter") {
      finish([from]);
    } else {
      return;
    }
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={label}
      // Where notes are put by the keyboard it takes the focus.
      tabIndex={tool === "NOTE" ? 0 : undefined}
      className={`block w-full border border-rule bg-sheet ${tool ? "cursor-crosshair touch-none" : ""}`}
      onKeyDown={onKey}
      onFocus={() => tool === "NOTE" && setCross(cross ?? [0.5, 0.5])}
      onBlur={() => setCross(null)}
      onPointerDown={(e) => {
        if (tool && e.button === 0) {
          e.currentTarget.setPointerCapture(e.pointerId);
          setLine([pointAt(...at(e))]);
        }
      }}
      onPointerMove={(e) => {
        if (line && tool !== "NOTE") {
          const longer = withPoint(line, ...at(e));
          longer.length >= MOST_POINTS ? finish(longer) : setLine(longer);
        }
      }}
      onPointerUp={() => line && finish(line)}
      onPointerCancel={() => setLine(null)}
    >
      <g ref={inner} transform={turned(turn, width, height)}>
        <image href={page.url} width={width} height={height} preserveAspectRatio="none" />
        {marks.map((m) =>
          m.kind === "NOTE" ? (
            <g key={m.id} transform={`translate(${place(m, width, height)}) rotate(${-90 * turn})`}>
              <circle r={width * 0.018} className="fill-by-person" />
              <text
                textAnchor="middle"
                dominantBaseline="central"
                fontSize={width * 0.024}
                className="fill-sheet font-semibold"
              >
                {numbers.get(m.id)}
              </text>
            </g>
          ) : (
            <Line key={m.id} kind={m.kind} d={pathOf(m.points, width, height)} width={width} />
          ),
        )}
        {line && tool && tool !== "NOTE" && (
          <Line kind={tool} d={pathOf(line, width, height)} width={width} />
        )}
        {cross && (
          <path
            className="stroke-by-person"
            strokeWidth={width * PEN}
            d={`M ${cross[0] * width - width * 0.02} ${cross[1] * height} h ${width * 0.04} M ${cross[0] * width} ${cross[1] * height - width * 0.02} v ${width * 0.04}`}
          />
        )}
      </g>
      <title>{tool === "NOTE" ? t("Arrows move the place, Enter puts the note there.") : label}</title>
    </svg>
  );
}

function Line({ kind, d, width }: { kind: Tool; d: string; width: number }) {
  const isPen = kind === "PEN";
  return (
    <path
      d={d}
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
      strokeWidth={width * (isPen ? PEN : HIGHLIGHTER)}
      className={isPen ? "stroke-by-person" : "stroke-waiting opacity-35 mix-blend-multiply"}
    />
  );
}

const place = (m: DrawnMark, width: number, height: number) =>
  `${(m.points[0]?.[0] ?? 0) * width} ${(m.points[0]?.[1] ?? 0) * height}`;

/** Turned about its corner, and back into the picture. */
function turned(turn: number, width: number, height: number): string {
  const back = ["0 0", `${height} 0`, `${width} ${height}`, `0 ${width}`][turn % 4];
  return `translate(${back}) rotate(${90 * (turn % 4)})`;
}
