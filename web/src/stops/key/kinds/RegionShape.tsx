import type { Region } from "../definition";

/** A region drawn over its picture: filled when it is keyed, outlined when it is not. */
export function RegionShape({
  region,
  aspect,
  keyed,
  name,
}: {
  region: Region;
  aspect: number;
  keyed: boolean;
  name: string;
}) {
  const look = {
    className: `stroke-by-rule ${keyed ? "fill-by-rule/25" : "fill-transparent"}`,
    strokeWidth: 0.004,
    strokeDasharray: keyed ? undefined : "0.012 0.008",
  };
  const [x, y] = middle(region);
  return (
    <>
      {region.circle && (
        <circle cx={region.circle[0]} cy={Number(region.circle[1]) * aspect} r={region.circle[2]} {...look} />
      )}
      {region.rect && (
        <rect
          x={region.rect[0]}
          y={Number(region.rect[1]) * aspect}
          width={Number(region.rect[2]) - Number(region.rect[0])}
          height={(Number(region.rect[3]) - Number(region.rect[1])) * aspect}
          {...look}
        />
      )}
      {region.polygon && (
        <polygon points={region.polygon.map((c) => `${c[0]},${Number(c[1]) * aspect}`).join(" ")} {...look} />
      )}
      <text
        x={x}
        y={y * aspect + 0.015}
        fontSize="0.04"
        textAnchor="middle"
        className="fill-by-rule font-semibold"
      >
        {name}
      </text>
    </>
  );
}

function middle(region: Region): [number, number] {
  if (region.circle) {
    return [Number(region.circle[0]), Number(region.circle[1])];
  }
  if (region.rect) {
    const [l, t, r, b] = region.rect.map(Number);
    return [((l ?? 0) + (r ?? 0)) / 2, ((t ?? 0) + (b ?? 0)) / 2];
  }
  const corners = region.polygon ?? [];
  const mean = (i: 0 | 1) => corners.reduce((sum, c) => sum + Number(c[i]), 0) / Math.max(1, corners.length);
  return [mean(0), mean(1)];
}
