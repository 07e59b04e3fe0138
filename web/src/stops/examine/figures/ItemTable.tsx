import type { ReactNode } from "react";
import { IntervalBar } from "../../../parts/IntervalBar";
import { t } from "../../../text";
import { between, figure, share } from "../../../text/figures";
import { QuestionAnswers } from "../question/QuestionAnswers";
import type { By } from "./order";
import type { ItemLine, View } from "./useExamine";

/** Each question with its figures. The chosen one can be opened: what was answered stands beneath its row. */
export function ItemTable({
  view,
  items,
  by,
  onBy,
  chosen,
  open,
  onChoose,
  onToggle,
}: {
  view: View;
  items: ItemLine[];
  by: By;
  onBy: (by: By) => void;
  chosen: ItemLine | undefined;
  open: boolean;
  onChoose: (item: string) => void;
  onToggle: () => void;
}) {
  const head = (name: By, className: string, children: ReactNode) => (
    <th scope="col" aria-sort={by === name ? "ascending" : undefined} className={`font-normal ${className}`}>
      <button
        type="button"
        onClick={() => onBy(name)}
        className={`min-h-6 ${by === name ? "font-semibold text-ink underline underline-offset-4" : ""}`}
      >
        {children}
      </button>
    </th>
  );
  return (
    <section aria-label={t("Questions")} className="overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-b border-rule text-left text-small text-soft">
            {head("number", "w-12 py-1 pl-5", t("No."))}
            <th scope="col" className="font-normal">
              {t("Question")}
            </th>
            {head("mean", "w-52", t("Mean score (0 to 1)"))}
            {head("rest", "w-16 text-right", t("r with the rest"))}
            <th scope="col" className="w-24 pl-4 font-normal">
              {t("thirds: upper, middle, lower")}
            </th>
            {head("blank", "w-16 text-right", t("no answer"))}
            {head("flags", "w-40 pl-5", t("Flags"))}
          </tr>
        </thead>
        <tbody>
          {items.map((item) => (
            <ItemRow
              key={item.item}
              item={item}
              here={item === chosen}
              open={open && item === chosen}
              onChoose={() => onChoose(item.item)}
              onToggle={onToggle}
            />
          ))}
        </tbody>
      </table>
      {view.test.n > 0 && (
        <p className="px-5 pt-2 text-small text-soft">
          {t("The line through each mean is where it lies with 95% confidence.")}
        </p>
      )}
    </section>
  );
}

function ItemRow({
  item,
  here,
  open,
  onChoose,
  onToggle,
}: {
  item: ItemLine;
  here: boolean;
  open: boolean;
  onChoose: () => void;
  onToggle: () => void;
}) {
  const flagged = item.flags.length > 0;
  return (
    <>
      <tr className={`border-b border-rule ${here ? "bg-waiting-wash" : ""}`}>
        <td
          className={`border-l-4 py-1.5 pl-4 font-semibold ${here ? "border-waiting" : "border-transparent"}`}
        >
          {item.number}
        </td>
        <td className="pr-4">
          <button
            type="button"
            aria-pressed={here}
            onClick={onChoose}
            className="block min-h-6 w-full text-left font-script leading-snug"
          >
            {item.prompt}
          </button>
          {here && (
            <button
              type="button"
              aria-expanded={open}
              onClick={onToggle}
              className="min-h-6 text-small underline underline-offset-2"
            >
              {open ? t("Hide its answers") : t("Show its answers")}
            </button>
          )}
        </td>
        <td>
          <MeanOnLine item={item} />
        </td>
        <td
          className={`text-right ${flagged ? "font-semibold text-waiting" : ""}`}
          title={item.measures.itemRest.missing ?? undefined}
        >
          {figure(item.measures.itemRest.value)}
        </td>
        <td className="pl-4">
          <ThirdBars item={item} />
        </td>
        <td className="text-right">{share(item.measures.blank.value)}</td>
        <td className="pr-3 pl-5 text-small font-semibold text-waiting">
          {item.flags.map((f) => f.words).join(", ")}
        </td>
      </tr>
      {open && (
        <tr className="border-b border-rule-strong">
          <td colSpan={7} className="border-l-4 border-waiting px-5 pt-2 pb-4">
            <QuestionAnswers item={item} />
          </td>
        </tr>
      )}
    </>
  );
}

/** The mean as a point, the interval as a line through it, what was expected as a small upright. */
function MeanOnLine({ item }: { item: ItemLine }) {
  const { difficulty, low, high } = item.measures;
  if (difficulty.value === null) {
    return <span className="text-soft">{item.dropped ? t("dropped") : t("nobody was asked")}</span>;
  }
  return (
    <span className="flex items-center gap-3">
      <IntervalBar
        of="mean"
        place={difficulty.value}
        low={low.value ?? 0}
        high={high.value ?? 0}
        upright={item.expected === null ? undefined : Number(item.expected)}
        says={between(low.value, high.value)}
      />
      <span>
        {figure(difficulty.value)}
        {item.expected !== null && (
          <span className="block text-small text-standard">
            {t("expected {{mean}}", { mean: figure(Number(item.expected)) })}
          </span>
        )}
      </span>
    </span>
  );
}

/** The mean of the upper, middle and lower third as three bars. */
function ThirdBars({ item }: { item: ItemLine }) {
  const { upper, middle, lower } = item.measures.thirds;
  if (upper.value === null) {
    return <span title={upper.missing ?? undefined}>–</span>;
  }
  const three = [upper.value, middle.value ?? 0, lower.value ?? 0];
  return (
    <span>
      <span aria-hidden="true" className="flex h-6 items-end gap-1 border-b border-rule">
        {three.map((v, i) => (
          <span
            key={i}
            className={`w-4 ${item.flags.length > 0 ? "bg-waiting" : "bg-ink"}`}
            style={{ height: `${Math.max(0, v) * 100}%` }}
          />
        ))}
      </span>
      <span className="sr-only">{three.map((v) => figure(v)).join(", ")}</span>
    </span>
  );
}
