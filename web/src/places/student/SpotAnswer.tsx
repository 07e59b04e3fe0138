import { type KeyboardEvent, useRef, useState } from "react";
import type { Schemas } from "../../api/client";
import { fileUrl } from "../../parts/upload";
import { fixed } from "../../stops/key/kinds/regions";
import { t } from "../../text";

/** Places shown on a picture: a click or a touch sets one; from the keyboard the arrows move a cross and Enter sets it. */
export function SpotAnswer({
  item,
  points,
  onPoints,
}: {
  item: Schemas["PaperItem"];
  points: string[][];
  onPoints: (points: string[][]) => void;
}) {
  const [at, setAt] = useState({ x: 0.5, y: 0.5 });
  const box = useRef<HTMLDivElement>(null);
  const add = (x: number, y: number) => onPoints([...points, [fixed(x), fixed(y)]]);
  const onKey = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 0.1 : 0.02;
    if (e.key === "Enter" || e.key === " ") {
      add(at.x, at.y);
    } else if (e.key.startsWith("Arrow")) {
      const dx = e.key === "ArrowLeft" ? -step : e.key === "ArrowRight" ? step : 0;
      const dy = e.key === "ArrowUp" ? -step : e.key === "ArrowDown" ? step : 0;
      setAt({ x: Number(fixed(at.x + dx)), y: Number(fixed(at.y + dy)) });
    } else {
      return;
    }
    e.preventDefault();
    e.stopPropagation();
  };
  if (!item.picture) {
    return <p className="text-soft">{t("The picture is missing. Tell your teacher.")}</p>;
  }
  return (
    <>
      <div
        ref={box}
        role="application"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: places are set with keys as well
        tabIndex={0}
        aria-label={t(
          "Picture: {{alt}}. Move the cross with the arrow keys and press Enter to choose a place.",
          { alt: item.alt },
        )}
        className="group relative cursor-crosshair border border-ink"
        onKeyDown={onKey}
        onClick={(e) => {
          const r = e.currentTarget.getBoundingClientRect();
          add((e.clientX - r.left) / r.width, (e.clientY - r.top) / r.height);
        }}
      >
        <img src={fileUrl(item.picture)} alt={item.alt} className="block w-full" draggable={false} />
        {points.map(([x, y], i) => (
          <span
            key={`${x} ${y} ${i}`}
            aria-hidden="true"
            className="pointer-events-none absolute flex size-7 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 border-ink bg-sheet/80 text-small font-semibold"
            style={{ left: `${Number(x) * 100}%`, top: `${Number(y) * 100}%` }}
          >
            {i + 1}
          </span>
        ))}
        <span
          aria-hidden="true"
          className="pointer-events-none absolute -translate-x-1/2 -translate-y-1/2 text-title text-waiting opacity-0 group-focus-visible:opacity-100"
          style={{ left: `${at.x * 100}%`, top: `${at.y * 100}%` }}
        >
          +
        </span>
      </div>
      <ul aria-live="polite">
        {points.map(([x, y], i) => (
          <li key={`${x} ${y} ${i}`} className="flex items-center gap-3 py-1 text-small">
            {t("Place {{n}}: {{x}}% from the left, {{y}}% from the top", {
              n: i + 1,
              x: Math.round(Number(x) * 100),
              y: Math.round(Number(y) * 100),
            })}
            <button
              type="button"
              className="min-h-11 px-2 underline"
              onClick={() => onPoints(points.filter((_, n) => n !== i))}
            >
              {t("Clear my choice, Remove")}
            </button>
          </li>
        ))}
      </ul>
      {points.length === 0 && (
        <p className="mt-1 text-small text-soft">{t("Click or tap each place you want to show.")}</p>
      )}
    </>
  );
}
