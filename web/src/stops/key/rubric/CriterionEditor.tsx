import { TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { t } from "../../../text";
import type { Criterion, FrameworkFile, Level } from "../definition";
import { StandardPicker } from "../StandardPicker";

const BOX = "rounded-corner border border-rule bg-sheet px-1";

/** One criterion: its name and weight, its levels with points and what they mean, the standards it counts for. */
export function CriterionEditor({
  criterion,
  frameworks,
  single,
  onChange,
  onCopy,
  onRemove,
}: {
  criterion: Criterion;
  frameworks: FrameworkFile[];
  single: boolean;
  onChange: (c: Criterion) => void;
  onCopy: () => void;
  onRemove?: () => void;
}) {
  const { levels } = criterion;
  const set = (next: Level[]) => onChange({ ...criterion, levels: next });
  return (
    <fieldset className="min-w-0 flex-1 py-2">
      <legend className="sr-only">{t("criterion {{name}}", { name: criterion.title })}</legend>
      <div className="flex items-end gap-3">
        <Field
          label={t("Criterion")}
          value={criterion.title}
          placeholder={single ? t("Leave empty for one scale for the whole answer") : ""}
          className="flex-1"
          onChange={(e) => onChange({ ...criterion, title: e.target.value })}
        />
        <Field
          label={t("Weight")}
          value={criterion.weight ?? "1"}
          inputMode="decimal"
          className="w-16"
          onChange={(e) => onChange({ ...criterion, weight: e.target.value })}
        />
        <span className="flex gap-3 pb-2 text-small">
          <TextButton onClick={onCopy}>{t("copy")}</TextButton>
          {onRemove && (
            <TextButton onClick={onRemove}>
              {t("Remove")} <span className="sr-only">{criterion.title}</span>
            </TextButton>
          )}
        </span>
      </div>
      <ol className="my-2">
        {levels.map((level, i) => (
          <li key={level.id} className="flex items-start gap-2 border-b border-rule py-1">
            <input
              aria-label={t("points of level {{n}}", { n: i })}
              value={level.points}
              inputMode="decimal"
              onChange={(e) => set(levels.map((l, n) => (n === i ? { ...l, points: e.target.value } : l)))}
              className={`w-12 text-right ${BOX}`}
            />
            <textarea
              aria-label={t("what level {{n}} means", { n: i })}
              value={level.text}
              rows={1}
              placeholder={t("What an answer at this level shows")}
              onChange={(e) => set(levels.map((l, n) => (n === i ? { ...l, text: e.target.value } : l)))}
              className="field-sizing-content min-w-0 flex-1 resize-none bg-sheet font-script"
            />
            {levels.length > 2 && (
              <TextButton
                className="text-small text-soft"
                onClick={() => set(levels.filter((_, n) => n !== i))}
              >
                {t("Remove")} <span className="sr-only">{criterion.title}</span>
              </TextButton>
            )}
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap items-start gap-6">
        <TextButton onClick={() => set([...levels, nextLevel(levels)])}>{t("another level")}</TextButton>
        <StandardPicker
          frameworks={frameworks}
          chosen={criterion.standards ?? []}
          onChange={(standards) => onChange({ ...criterion, standards })}
        />
      </div>
    </fieldset>
  );
}

function nextLevel(levels: Level[]): Level {
  let n = levels.length;
  while (levels.some((l) => l.id === String(n))) {
    n++;
  }
  return { id: String(n), points: String(n), text: "" };
}
