import { TextButton } from "../../../parts/Button";
import { FaultLine } from "../../../parts/Field";
import { t } from "../../../text";

export type BoundRow = { from: string; name: string; words: string };

/** Rows of a percent, a name and words: what is called or given from there on. */
export function BoundList({
  title,
  rows,
  names,
  fault,
  onRow,
  onAdd,
  onRemove,
}: {
  title: string;
  rows: BoundRow[];
  names: {
    name: (from: string) => string;
    words: (from: string) => string;
    namePlaceholder: string;
    wordsPlaceholder: string;
    another: string;
  };
  fault: (i: number) => string[];
  onRow: (i: number, row: BoundRow) => void;
  onAdd: () => void;
  onRemove: (i: number) => void;
}) {
  return (
    <section className="mt-6 border-t border-rule pt-4" aria-label={title}>
      <h2 className="mb-2 font-semibold">{title}</h2>
      {rows.map((row, i) => (
        <div key={i} className="border-b border-rule py-1">
          <div className="flex flex-wrap items-center gap-3">
            <label className="flex items-center gap-2 text-small text-soft">
              {t("from")}
              <input
                value={row.from}
                inputMode="decimal"
                className="w-16 rounded-corner border border-rule-strong bg-sheet px-1 py-0.5 text-right text-body text-ink"
                onChange={(e) => onRow(i, { ...row, from: e.target.value })}
              />
              %
            </label>
            <input
              aria-label={names.name(row.from)}
              value={row.name}
              placeholder={names.namePlaceholder}
              className="w-40 bg-sheet font-script text-words"
              onChange={(e) => onRow(i, { ...row, name: e.target.value })}
            />
            <input
              aria-label={names.words(row.from)}
              value={row.words}
              placeholder={names.wordsPlaceholder}
              className="min-w-48 flex-1 bg-sheet font-script"
              onChange={(e) => onRow(i, { ...row, words: e.target.value })}
            />
            <TextButton className="text-small text-soft" onClick={() => onRemove(i)}>
              {t("Remove")}
            </TextButton>
          </div>
          {fault(i).map((words) => (
            <FaultLine key={words}>{words}</FaultLine>
          ))}
        </div>
      ))}
      <TextButton className="mt-2" onClick={onAdd}>
        {names.another}
      </TextButton>
    </section>
  );
}
