import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Area, Field } from "../../parts/Field";
import { Kbd } from "../../parts/Keys";
import { MarkWithReason } from "../../parts/Mark";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { points } from "../../text/figures";
import { CriterionBox } from "./CriterionBox";
import { CommentField } from "./comments/CommentField";
import { type Change, withLevel } from "./reading";

/** The rubric with a digit for each level, a comment for the student, a private note. */
export function ReadMargin({
  question,
  change,
  onChange,
  focus,
  onFocus,
  error,
  onSave,
  theirs,
  onTheirs,
  onMine,
  onWords,
  areWordsChosen,
  hints,
  paper,
  examples,
  second,
}: {
  question: Schemas["OpenQuestion"];
  change: Change;
  onChange: (c: Change) => void;
  focus: number;
  onFocus: (i: number) => void;
  error: unknown;
  onSave: () => void;
  theirs: Schemas["ReadAnswer"] | undefined;
  onTheirs: () => void;
  onMine: () => void;
  /** What is said of single words. */
  onWords: ReactNode;
  /** While some are chosen, what is said of them comes first. */
  areWordsChosen: boolean;
  /** Which hints there are; for whom it is to say. */
  hints: ReactNode;
  /** What is said of the whole paper. */
  paper: ReactNode;
  /** Answers of which it is agreed what they are worth. */
  examples: ReactNode;
  /** What belongs to a second reading. */
  second: ReactNode;
}) {
  const saveOnEnter = (e: React.KeyboardEvent) => {
    if (e.key === "Enter" && (e.ctrlKey || e.metaKey)) {
      onSave();
    } else if (e.key === "Escape") {
      (e.target as HTMLElement).blur();
    }
  };
  return (
    <>
      {areWordsChosen && onWords}
      <h2 className="mb-2 text-small font-semibold text-soft">{t("Rubric")}</h2>
      {question.criteria.map((c, i) => (
        <CriterionBox
          key={c.id}
          criterion={c}
          here={i === focus}
          chosen={change.levels[c.id]}
          onFocus={() => onFocus(i)}
          onChoose={(level) => onChange(withLevel(change, c.id, level))}
        />
      ))}
      {question.criteria.length > 0 && <OverRubric question={question} change={change} onChange={onChange} />}
      {question.criteria.length === 0 && (
        <label className="mb-4 flex items-center gap-2">
          <input
            value={change.points ?? ""}
            inputMode="decimal"
            aria-label={t("points from 0 to {{max}}", { max: question.points })}
            onChange={(e) => onChange({ ...change, points: e.target.value })}
            className="w-20 rounded-corner border border-ink bg-sheet px-2 py-1 font-script text-words"
          />
          {t("of {{of}}", { of: points(question.points) })}
        </label>
      )}
      <Trouble error={error} />
      {theirs && <Theirs question={question} theirs={theirs} onTheirs={onTheirs} onMine={onMine} />}
      <CommentField
        value={change.comment}
        onKeyDown={saveOnEnter}
        onChange={(comment) => onChange({ ...change, comment })}
      />
      <Area
        id="private-note"
        label={
          <>
            {t("Private note, never shown to students")} <Kbd>N</Kbd>
          </>
        }
        value={change.note}
        rows={1}
        onKeyDown={saveOnEnter}
        onChange={(e) => onChange({ ...change, note: e.target.value })}
      />
      {!areWordsChosen && onWords}
      <p className="mt-2 mb-4 text-small text-soft">
        {t("Press Ctrl Enter to save from a field, Esc to leave it.")}
      </p>
      {paper}
      {examples}
      {hints}
      {second}
    </>
  );
}

/** Points that count instead of the rubric, with why; the levels stay. */
function OverRubric({
  question,
  change,
  onChange,
}: {
  question: Schemas["OpenQuestion"];
  change: Change;
  onChange: (c: Change) => void;
}) {
  const given = (change.points ?? "").trim() !== "";
  return (
    <div className="mb-4">
      <label className="flex flex-wrap items-center gap-2 text-small">
        {t("Points instead of the rubric")}
        <input
          value={change.points ?? ""}
          inputMode="decimal"
          placeholder="–"
          onChange={(e) => onChange({ ...change, points: e.target.value || null })}
          className="w-16 rounded-corner border border-rule-strong bg-sheet px-2 py-1"
        />
        {t("of {{of}}", { of: points(question.points) })}
      </label>
      {given && (
        <Field
          className="mt-2"
          label={t("Why, for the student")}
          value={change.why ?? ""}
          maxLength={500}
          onChange={(e) => onChange({ ...change, why: e.target.value })}
        />
      )}
    </div>
  );
}

/** What a colleague chose for the same answer meanwhile; one of the two readings is taken. */
function Theirs({
  question,
  theirs,
  onTheirs,
  onMine,
}: {
  question: Schemas["OpenQuestion"];
  theirs: Schemas["ReadAnswer"];
  onTheirs: () => void;
  onMine: () => void;
}) {
  return (
    <MarginPart title={t("Read meanwhile")}>
      <Note by="person">
        <MarkWithReason mark={theirs.mark} />
        <ul className="text-small">
          {question.criteria.map((c) => (
            <li key={c.id}>
              {c.title}: {c.levels.find((l) => l.id === theirs.levels[c.id])?.text ?? t("no level")}
            </li>
          ))}
        </ul>
        {theirs.comment && <p className="font-script">{theirs.comment}</p>}
      </Note>
      <p className="flex flex-wrap gap-2">
        <Button onClick={onTheirs}>{t("Keep theirs")}</Button>
        <Button onClick={onMine}>{t("Save mine instead")}</Button>
      </p>
    </MarginPart>
  );
}
