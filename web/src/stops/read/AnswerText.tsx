import { useRef } from "react";
import type { Schemas } from "../../api/client";
import { pieces, type Span } from "../../parts/remarks/pieces";
import { Sign } from "../../parts/remarks/Remarked";
import { t } from "../../text";
import { type Line, lines } from "./lines";
import { spanChosen } from "./remarks/spanChosen";

type Remark = Schemas["Remark"];

/** The answer large, its lines numbered; what is said of single words stands beside their line. */
export function AnswerText({
  text,
  remarks,
  slips,
  chosen,
  onChoose,
  onRemark,
}: {
  text: string;
  remarks: Remark[];
  /** Where the language may be looked at again. */
  slips: Span[];
  chosen: Span | null;
  onChoose: (span: Span) => void;
  onRemark: (remark: Remark) => void;
}) {
  const list = useRef<HTMLOListElement>(null);
  const look = () => {
    const span = list.current && spanChosen(list.current, text);
    if (span) {
      onChoose(span);
      window.getSelection()?.removeAllRanges();
    }
  };
  return (
    <ol ref={list} className="@container max-w-[56rem]" onMouseUp={look} onTouchEnd={look}>
      {lines(text).map((line, i) => (
        <li
          key={line.from}
          className="grid grid-cols-[2rem_minmax(0,1fr)] border-b border-rule @3xl:grid-cols-[2rem_minmax(0,44rem)_1fr]"
        >
          <span className="pt-1 text-right text-small text-soft">{i + 1}</span>
          <span className="min-h-8 pl-3 font-script text-[1.25rem] leading-8 whitespace-pre-wrap">
            <Words line={line} remarks={remarks} slips={slips} chosen={chosen} />
          </span>
          <Beside remarks={remarks.filter((r) => endsOn(r, line))} onRemark={onRemark} />
        </li>
      ))}
    </ol>
  );
}

const endsOn = (span: Span, line: Line): boolean =>
  span.to > line.from && span.to <= line.from + Math.max(1, line.text.length);

function Words({
  line,
  remarks,
  slips,
  chosen,
}: {
  line: Line;
  remarks: Remark[];
  slips: Span[];
  chosen: Span | null;
}) {
  const spans = [...remarks, ...slips, ...(chosen ? [chosen] : [])];
  const look = (on: number[]): string => {
    const remarked = on.some((i) => i < remarks.length);
    const slip = on.some((i) => i >= remarks.length && i < remarks.length + slips.length);
    const here = on.some((i) => i >= remarks.length + slips.length);
    return [
      remarked ? "bg-by-person-wash underline decoration-by-person decoration-2 underline-offset-4" : "",
      slip && !remarked
        ? "underline decoration-waiting decoration-dotted decoration-2 underline-offset-4"
        : "",
      here ? "outline-2 outline-ink" : "",
    ].join(" ");
  };
  return pieces({ from: line.from, to: line.from + line.text.length }, spans).map((p) => (
    <span key={p.from} data-from={p.from} className={look(p.on)}>
      {line.text.slice(p.from - line.from, p.to - line.from)}
    </span>
  ));
}

function Beside({ remarks, onRemark }: { remarks: Remark[]; onRemark: (remark: Remark) => void }) {
  if (remarks.length === 0) {
    return null;
  }
  return (
    <span className="col-start-2 flex flex-wrap content-start gap-1 py-1 pl-3 @3xl:col-start-3">
      {remarks.map((r) => (
        <button
          key={`${r.from} ${r.to} ${r.text}`}
          type="button"
          className="min-h-6 cursor-pointer border-l-2 border-rule pl-2 text-left text-small text-by-person hover:underline"
          aria-label={t("Change what is said of these words: {{text}}", { text: r.text })}
          onClick={() => onRemark(r)}
        >
          {r.brief ? <Sign text={r.text} /> : r.text}
        </button>
      ))}
    </span>
  );
}
