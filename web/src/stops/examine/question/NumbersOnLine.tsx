import type { Schemas } from "../../../api/client";
import { t } from "../../../text";
import { points } from "../../../text/figures";

/** Typed numbers where they lie, against what is accepted. The table of answers beneath says the same in words. */
export function NumbersOnLine({ line }: { line: Schemas["NumberLine"] }) {
  const most = Math.max(...line.numbers.map((n) => n.count));
  return (
    <figure className="m-0">
      <div aria-hidden="true" className="relative mx-3 mt-1 h-16">
        {line.accepted.map((a) => (
          <span
            key={a.shown}
            className="absolute top-0 h-12 min-w-0.5 bg-by-rule-wash"
            style={{ left: `${a.from * 100}%`, width: `${(a.to - a.from) * 100}%` }}
          />
        ))}
        <span className="absolute inset-x-0 top-12 border-t border-rule-strong" />
        {line.numbers.map((n) => (
          <span
            key={n.value}
            className="absolute bottom-4 w-1.5 -translate-x-1/2 bg-ink"
            style={{ left: `${n.place * 100}%`, height: `${8 + (32 * n.count) / most}px` }}
          />
        ))}
        <span className="absolute top-12 left-0 text-small text-soft">{points(line.low)}</span>
        <span className="absolute top-12 right-0 text-small text-soft">{points(line.high)}</span>
      </div>
      <figcaption className="text-small text-soft">
        {t("Accepted: {{accepted}}.", { accepted: line.accepted.map((a) => a.shown).join("; ") })}{" "}
        {line.elsewhere > 0 &&
          t("{{count}} answers are no number, or have another unit, and are not on the line.", {
            count: line.elsewhere,
          })}
      </figcaption>
    </figure>
  );
}
