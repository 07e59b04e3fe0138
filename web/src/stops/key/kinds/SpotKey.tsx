import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import { TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { Field } from "../../../parts/Field";
import { FileField } from "../../../parts/FileField";
import { Trouble } from "../../../parts/States";
import { fileUrl, upload } from "../../../parts/upload";
import { t } from "../../../text";
import { freeId, put, type Region } from "../definition";
import type { KeyProps } from "../ItemEditor";
import { RegionShape } from "./RegionShape";
import { drawn, fixed, moved, type Point, polygon, ratio, type Shape, scaled } from "./regions";

/** Places on a picture: drawn by mouse, or with the arrow keys and Enter; the right ones are marked. */
export function SpotKey({ item, onChange }: KeyProps) {
  const [fault, setFault] = useState<unknown>(null);
  const take = (file: File) => {
    setFault(null);
    upload(file).then(
      (kept) =>
        onChange({
          ...item,
          picture: { file: kept.id, alt: item.picture?.alt ?? "" },
          aspect: kept.aspect === null ? (item.aspect ?? "1") : ratio(kept.aspect),
        }),
      setFault,
    );
  };
  return (
    <>
      <div className="mb-2 flex flex-wrap items-end gap-4">
        <FileField
          label={item.picture ? t("another picture") : t("the picture")}
          accept="image/png,image/jpeg,image/gif,image/webp"
          onFile={take}
        />
        {item.picture && (
          <Field
            label={t("Description of the picture, for people who cannot see it")}
            value={item.picture.alt}
            className="min-w-60 flex-1"
            fault={
              item.picture.alt.trim()
                ? undefined
                : t("This picture has no description yet. Say what it shows.")
            }
            onChange={(e) =>
              onChange({ ...item, picture: { file: item.picture?.file ?? "", alt: e.target.value } })
            }
          />
        )}
      </div>
      <Trouble error={fault} />
      {item.picture ? (
        <Canvas item={item} onChange={onChange} />
      ) : (
        <p className="text-soft">{t("Add a picture first, then draw the areas on it.")}</p>
      )}
    </>
  );
}

function Canvas({ item, onChange }: KeyProps) {
  const [shape, setShape] = useState<Shape>("circle");
  const [from, setFrom] = useState<Point | null>(null);
  const [at, setAt] = useState<Point>({ x: 0.5, y: 0.5 });
  const [corners, setCorners] = useState<Point[]>([]);
  const box = useRef<HTMLDivElement>(null);
  const regions = item.regions ?? [];
  const key = item.key ?? [];
  const aspect = Number(item.aspect ?? "1");
  const add = (region: Region | null) => {
    setFrom(null);
    setCorners([]);
    if (region) {
      onChange({ ...item, regions: [...regions, region], key: [...key, region.id] });
    }
  };
  const id = freeId("g", regions);
  const where = (e: PointerEvent): Point => {
    const r = (box.current as HTMLDivElement).getBoundingClientRect();
    return { x: (e.clientX - r.left) / r.width, y: (e.clientY - r.top) / r.height };
  };
  const place = (point: Point) => {
    if (shape === "polygon") {
      setCorners([...corners, point]);
    } else if (from) {
      add(drawn(shape, id, from, point, aspect));
    } else {
      setFrom(point);
    }
  };
  const onKey = (e: KeyboardEvent) => {
    const step = e.shiftKey ? 0.05 : 0.01;
    const by: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    };
    const way = by[e.key];
    if (way) {
      setAt({ x: Number(fixed(at.x + way[0])), y: Number(fixed(at.y + way[1])) });
    } else if (e.key === "Enter" && shape === "polygon" && corners.length >= 3 && e.shiftKey) {
      add(polygon(id, corners));
    } else if (e.key === "Enter" || e.key === " ") {
      place(at);
    } else if (e.key === "Escape") {
      add(null);
    } else {
      return;
    }
    e.preventDefault();
    e.stopPropagation();
  };
  const pending =
    shape === "polygon"
      ? polygon("pending", [...corners, at])
      : from && drawn(shape, "pending", from, at, aspect);
  return (
    <>
      <div className="mb-2 flex flex-wrap items-center gap-4">
        <Choose
          label={t("draw a")}
          value={shape}
          options={[
            ["circle", t("circle")],
            ["rect", t("rectangle")],
            ["polygon", t("polygon")],
          ]}
          onChange={(s) => {
            setShape(s as Shape);
            add(null);
          }}
        />
        {shape === "polygon" && (
          <TextButton disabled={corners.length < 3} onClick={() => add(polygon(id, corners))}>
            {t("Close the polygon ({{count}} corners)", { count: corners.length })}
          </TextButton>
        )}
        <span className="text-small text-soft">
          {t(
            "Drag on the picture, or move the cross with the arrow keys (hold Shift for larger steps) and press Enter.",
          )}
        </span>
      </div>
      <div
        ref={box}
        role="application"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the picture is drawn on with keys as well
        tabIndex={0}
        aria-label={t("picture to draw on: {{alt}}", { alt: item.picture?.alt ?? "" })}
        className="relative max-w-2xl cursor-crosshair touch-none select-none border border-rule"
        onKeyDown={onKey}
        onPointerDown={(e) => {
          const point = where(e);
          setAt(point);
          e.currentTarget.setPointerCapture(e.pointerId);
          shape === "polygon" ? setCorners([...corners, point]) : setFrom(point);
        }}
        onPointerMove={(e) => (from || corners.length > 0) && setAt(where(e))}
        onPointerUp={(e) => shape !== "polygon" && from && add(drawn(shape, id, from, where(e), aspect))}
      >
        <img
          src={fileUrl(item.picture?.file ?? "")}
          alt={item.picture?.alt ?? ""}
          className="block w-full"
          draggable={false}
          onLoad={(e) => {
            const real = e.currentTarget.naturalHeight / e.currentTarget.naturalWidth;
            if (Math.abs(real - aspect) > 0.001) {
              onChange({ ...item, aspect: ratio(real) });
            }
          }}
        />
        <svg
          className="pointer-events-none absolute inset-0 size-full"
          viewBox={`0 0 1 ${aspect}`}
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          {regions.map((r, i) => (
            <RegionShape
              key={r.id}
              region={r}
              aspect={aspect}
              keyed={key.includes(r.id)}
              name={String(i + 1)}
            />
          ))}
          {pending && <RegionShape region={pending} aspect={aspect} keyed={false} name="" />}
          <path
            d={`M ${at.x - 0.02} ${at.y * aspect} h 0.04 M ${at.x} ${at.y * aspect - 0.02} v 0.04`}
            className="stroke-waiting"
            strokeWidth="0.004"
          />
        </svg>
      </div>
      <ul className="mt-2">
        {regions.map((r, i) => (
          <li key={r.id} className="flex flex-wrap items-center gap-4 border-b border-rule py-1">
            <strong>{i + 1}</strong>
            <span className="text-soft">
              {r.circle ? t("circle") : r.rect ? t("rectangle") : t("polygon")}
            </span>
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={key.includes(r.id)}
                onChange={(e) =>
                  onChange({
                    ...item,
                    key: e.target.checked ? [...key, r.id] : key.filter((k) => k !== r.id),
                  })
                }
              />
              {t("right area")}
            </label>
            <Nudge
              region={r}
              onChange={(next) =>
                onChange({ ...item, regions: regions.map((o) => (o.id === r.id ? next : o)) })
              }
            />
            <TextButton
              className="ml-auto text-small text-soft"
              onClick={() =>
                onChange({
                  ...item,
                  regions: regions.filter((o) => o.id !== r.id),
                  key: key.filter((k) => k !== r.id),
                })
              }
            >
              {t("Remove")}
            </TextButton>
          </li>
        ))}
      </ul>
      {key.length > 1 && (
        <Choose
          className="mt-3"
          label={t("Scoring rule")}
          value={item.rule ?? "hits"}
          options={[
            ["hits", t("Right choices add, too many earn nothing")],
            ["net", t("Right choices add, wrong ones take away")],
            ["exact", t("all or nothing")],
          ]}
          onChange={(rule) => onChange(put(item, "rule", rule === "hits" ? undefined : rule))}
        />
      )}
    </>
  );
}

const STEP = 0.01;

/** A place moved and sized from the keyboard. */
function Nudge({ region, onChange }: { region: Region; onChange: (region: Region) => void }) {
  const button = (sign: string, name: string, next: () => Region) => (
    <button
      type="button"
      aria-label={name}
      className="min-h-7 min-w-7 rounded-corner border border-rule text-soft"
      onClick={() => onChange(next())}
    >
      {sign}
    </button>
  );
  return (
    <span className="flex gap-1">
      {button("←", t("to the left"), () => moved(region, -STEP, 0))}
      {button("→", t("to the right"), () => moved(region, STEP, 0))}
      {button("↑", t("up"), () => moved(region, 0, -STEP))}
      {button("↓", t("down"), () => moved(region, 0, STEP))}
      {button("+", t("larger"), () => scaled(region, 1.1))}
      {button("−", t("smaller"), () => scaled(region, 1 / 1.1))}
    </span>
  );
}
