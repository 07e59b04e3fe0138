import { TextButton } from "../../parts/Button";
import { Check, Count, Field } from "../../parts/Field";
import { t } from "../../text";
import { type Criterion, type FrameworkFile, type Item, type Level, newCriterion, put } from "./definition";
import type { KeyProps } from "./ItemEditor";
import { StandardPicker } from "./StandardPicker";

/** A rubric of criteria with levels, or points by hand; a word limit. */
export function OpenKey({ item, onChange, frameworks }: KeyProps & { frameworks: FrameworkFile[] }) {
  const criteria = item.rubric?.criteria ?? [];
  const setCriteria = (next: Criterion[]) => {
    if (next.length > 0) {
      onChange({ ...item, rubric: { criteria: next } });
    } else {
      const { rubric: _, ...rest } = item;
      onChange(rest);
    }
  };
  const set = (c: Criterion) => setCriteria(criteria.map((o) => (o.id === c.id ? c : o)));
  return (
    <>
      <h3 className="mb-1 text-small font-semibold text-soft">{t("Rubric")}</h3>
      {criteria.length === 0 && (
        <p className="text-soft">{t("No rubric: you give points directly when you read.")}</p>
      )}
      {criteria.map((c) => (
        <CriterionEditor
          key={c.id}
          criterion={c}
          frameworks={frameworks}
          onChange={set}
          onRemove={() => setCriteria(criteria.filter((o) => o.id !== c.id))}
        />
      ))}
      <TextButton className="underline" onClick={() => setCriteria([...criteria, newCriterion(criteria)])}>
        {t("another criterion")}
      </TextButton>
      <div className="mt-4 flex flex-wrap items-end gap-4">
        <Count
          label={t("At least so many words")}
          value={item.words?.min}
          className="w-44"
          onChange={(min) => onChange(put(item, "words", limits({ ...item.words, min })))}
        />
        <Count
          label={t("At most so many words")}
          value={item.words?.max}
          className="w-44"
          onChange={(max) => onChange(put(item, "words", limits({ ...item.words, max })))}
        />
        <Field
          label={t("Mastered from so many points")}
          value={item.mastery ?? ""}
          inputMode="decimal"
          className="w-52"
          onChange={(e) => onChange(put(item, "mastery", e.target.value))}
        />
        {criteria.length > 0 && (
          <Check
            checked={item.rubricShown ?? false}
            onChange={(on) => onChange(put(item, "rubricShown", on || undefined))}
          >
            {t("students see the rubric beforehand")}
          </Check>
        )}
      </div>
    </>
  );
}

type Limits = { min?: number | undefined; max?: number | undefined };

function limits({ min, max }: Limits): Item["words"] {
  return min || max ? { ...(min ? { min } : {}), ...(max ? { max } : {}) } : undefined;
}

function CriterionEditor({
  criterion,
  frameworks,
  onChange,
  onRemove,
}: {
  criterion: Criterion;
  frameworks: FrameworkFile[];
  onChange: (c: Criterion) => void;
  onRemove: () => void;
}) {
  const setLevel = (i: number, level: Level) =>
    onChange({ ...criterion, levels: criterion.levels.map((l, n) => (n === i ? level : l)) });
  const nextLevel = (): Level => {
    let n = criterion.levels.length;
    while (criterion.levels.some((l) => l.id === String(n))) {
      n++;
    }
    return { id: String(n), points: String(n), text: "" };
  };
  return (
    <fieldset className="mb-3 border border-rule p-3">
      <legend className="sr-only">{t("criterion {{name}}", { name: criterion.title })}</legend>
      <div className="flex items-end gap-3">
        <Field
          label={t("Criterion")}
          value={criterion.title}
          className="flex-1"
          onChange={(e) => onChange({ ...criterion, title: e.target.value })}
        />
        <Field
          label={t("Weight")}
          value={criterion.weight ?? "1"}
          className="w-16"
          onChange={(e) => onChange({ ...criterion, weight: e.target.value })}
        />
        <TextButton className="pb-2 text-small text-soft" onClick={onRemove}>
          {t("out")}
        </TextButton>
      </div>
      <ol className="my-2">
        {criterion.levels.map((level, i) => (
          <li key={level.id} className="flex items-center gap-2 border-b border-rule py-1">
            <input
              aria-label={t("points of level {{n}}", { n: i })}
              value={level.points}
              onChange={(e) => setLevel(i, { ...level, points: e.target.value })}
              className="w-12 rounded-corner border border-rule bg-sheet px-1 text-right"
            />
            <input
              aria-label={t("what level {{n}} means", { n: i })}
              value={level.text}
              placeholder={t("what an answer at this level does")}
              onChange={(e) => setLevel(i, { ...level, text: e.target.value })}
              className="min-w-0 flex-1 bg-sheet font-script"
            />
            {criterion.levels.length > 2 && (
              <TextButton
                className="text-small text-soft"
                onClick={() => onChange({ ...criterion, levels: criterion.levels.filter((_, n) => n !== i) })}
              >
                {t("out")}
              </TextButton>
            )}
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap items-center gap-6">
        <TextButton onClick={() => onChange({ ...criterion, levels: [...criterion.levels, nextLevel()] })}>
          {t("another level")}
        </TextButton>
        <StandardPicker
          frameworks={frameworks}
          chosen={criterion.standards ?? []}
          onChange={(standards) => onChange({ ...criterion, standards })}
        />
      </div>
    </fieldset>
  );
}
