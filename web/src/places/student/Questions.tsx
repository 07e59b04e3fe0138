import { t } from "../../text";
import { pointsInWords } from "../../text/figures";
import { AnswerField } from "./AnswerField";
import { AnswerSheet } from "./AnswerSheet";
import { Asked, Hint, Passage } from "./Asked";
import type { Said } from "./onDevice";
import type { Page } from "./pages";
import { LookAtIt } from "./practice/LookAtIt";
import type { Practice } from "./practice/usePractice";

const NOTHING: Said = { answer: null, flagged: false };

/** A page of questions: one with its passage and the reasons asked for beneath it, or a sheet of rows. */
export function Questions({
  page,
  all,
  said,
  onSay,
  practice,
}: {
  page: Page;
  /** How many questions the paper has. */
  all: number;
  said: Record<string, Said>;
  onSay: (id: string, said: Said) => void;
  practice: Practice;
}) {
  const answer = (id: string, next: unknown) => onSay(id, { ...NOTHING, ...said[id], answer: next });
  const { item } = page;
  if (page.rows.length > 0) {
    return (
      <>
        <AnswerSheet
          rows={page.rows}
          said={said}
          onSay={(id, next) => !practice.isFixed(id) && answer(id, next)}
        />
        {page.rows.map((row) => (
          <LookAtIt
            key={row.id}
            item={row}
            answer={said[row.id]?.answer ?? null}
            practice={practice}
            numbered
          />
        ))}
      </>
    );
  }
  const current = said[item.id] ?? NOTHING;
  return (
    <section
      aria-label={t("Question {{n}}", { n: item.number })}
      data-title={item.number > 0 ? t("Question {{n}}", { n: item.number }) : t("Reading passage")}
    >
      <p className="text-small text-soft">
        {item.number > 0 ? t("Question {{n}} of {{all}}", { n: item.number, all }) : t("Reading passage")}
        {item.number > 0 && ` · ${pointsInWords(item.points)}`}
      </p>
      {page.stem && <Passage item={page.stem} />}
      <Asked item={item} />
      <fieldset disabled={practice.isFixed(item.id)} className="min-w-0">
        <AnswerField item={item} answer={current.answer} onAnswer={(next) => answer(item.id, next)} />
      </fieldset>
      {item.number > 0 && <LookAtIt item={item} answer={current.answer} practice={practice} />}
      <Hint hint={item.hint} />
      {page.reasons.map((reason) => (
        <section key={reason.id} className="mt-6" aria-label={t("Question {{n}}", { n: reason.number })}>
          <p className="text-small text-soft">
            {t("Question {{n}}", { n: reason.number })} · {pointsInWords(reason.points)}
          </p>
          <Asked item={reason} />
          <fieldset disabled={practice.isFixed(reason.id)} className="min-w-0">
            <AnswerField
              item={reason}
              answer={said[reason.id]?.answer ?? null}
              onAnswer={(next) => answer(reason.id, next)}
            />
          </fieldset>
          <LookAtIt item={reason} answer={said[reason.id]?.answer ?? null} practice={practice} />
        </section>
      ))}
      {item.number > 0 && (
        <button
          type="button"
          aria-pressed={current.flagged}
          onClick={() => onSay(item.id, { ...current, flagged: !current.flagged })}
          className={`mt-5 min-h-11 rounded-corner px-2 ${current.flagged ? "bg-waiting-wash font-semibold text-waiting" : "text-soft"}`}
        >
          <span aria-hidden="true">⚐ </span>
          {t("Come back to this")}
        </button>
      )}
    </section>
  );
}
