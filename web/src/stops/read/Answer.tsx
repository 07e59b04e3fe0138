import type { ReactNode } from "react";
import type { Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Mark, Mastered } from "../../parts/Mark";
import { t } from "../../text";
import { unread } from "./afterReading";
import { isNarrowed, type Pile } from "./pile";
import { QuestionHead } from "./QuestionHead";
import { Questions, Ways } from "./Ways";
import { WhichAnswers } from "./WhichAnswers";

/** The answer in large type with its lines numbered, under the strip of all answers. */
export function Answer({
  view,
  question,
  answer,
  at,
  names,
  alsoHere,
  pile,
  onPile,
  onNames,
  onGo,
  onQuestion,
  hints,
  children,
}: {
  view: Schemas["ReadView"];
  question: Schemas["OpenQuestion"];
  answer: Schemas["ReadAnswer"];
  at: number;
  names: boolean;
  /** Colleagues who have the same answer open. */
  alsoHere: string[];
  pile: Pile;
  onPile: (pile: Pile) => void;
  /** Shows or hides names; missing for a reader, who is told none. */
  onNames?: (() => void) | undefined;
  onGo: (at: number) => void;
  onQuestion: (item: string) => void;
  /** What is pointed out below it. */
  hints: ReactNode;
  /** What was answered. */
  children: ReactNode;
}) {
  return (
    <>
      <QuestionHead question={question} />
      <Ways />
      {view.questions.length > 1 && view.item !== null && (
        <Questions questions={view.questions} item={question.item} onQuestion={onQuestion} />
      )}
      <div className="flex flex-wrap items-center gap-3 px-6 py-3">
        <StripOfAnswers answers={view.answers} from={view.from} at={at} onGo={onGo} />
        <span className="text-small text-soft" aria-live="polite">
          {t("{{n}} of {{all}} read", readOf(view, question))} ·{" "}
          {question.second && <>{t("{{count}} wait for you", { count: question.mine })} · </>}
          {isNarrowed(pile) && <>{t("{{count}} are shown", { count: view.found })} · </>}
          {view.found > view.answers.length && (
            <>
              {t("answers {{from}} to {{to}} are here", {
                from: view.from + 1,
                to: view.from + view.answers.length,
              })}{" "}
              ·{" "}
            </>
          )}
          {onNames && <TextButton onClick={onNames}>{names ? t("Hide names") : t("Show names")}</TextButton>}
        </span>
        <WhichAnswers question={view.item === null ? null : question} pile={pile} onPile={onPile} />
      </div>
      <article className="px-6 pb-4" aria-label={t("The answer")}>
        <p className="mb-2 flex gap-4 text-small">
          <strong>{answer.name ?? whose(answer, view.from + at + 1)}</strong>
          <Mark mark={answer.mark} />
          <Mastered mark={answer.mark} />
          {answer.held && <span className="font-semibold text-waiting">{t("held back")}</span>}
        </p>
        <p role="status" className="text-small font-semibold text-waiting empty:hidden">
          {alsoHere.length > 0 && t("{{names}} has this answer open too.", { names: alsoHere.join(", ") })}
        </p>
        {children}
        <p className="mt-3 text-small text-soft">
          {question.maxWords
            ? t("{{count}} words of at most {{max}}", { count: answer.words, max: question.maxWords })
            : t("{{count}} words", { count: answer.words })}
          {question.maxWords !== null && answer.words > question.maxWords && (
            <strong className="text-waiting"> · {t("over the limit")}</strong>
          )}
        </p>
        {hints}
      </article>
    </>
  );
}

function StripOfAnswers({
  answers,
  from,
  at,
  onGo,
}: {
  answers: Schemas["ReadAnswer"][];
  from: number;
  at: number;
  onGo: (at: number) => void;
}) {
  return (
    <span className="flex flex-wrap">
      {answers.map((a, i) => {
        const done = !unread(a);
        const look = done
          ? "border-by-person bg-by-person"
          : a.held
            ? "border-waiting bg-waiting-wash"
            : "border-rule-strong bg-sheet";
        return (
          <button
            key={a.answer + a.item}
            type="button"
            aria-current={i === at}
            aria-label={`${a.name ?? whose(a, from + i + 1)}, ${done ? t("read") : a.held ? t("held back") : t("unread")}`}
            onClick={() => onGo(i)}
            className={`flex size-6 items-center justify-center ${isNext(answers, i) ? "ml-3" : ""}`}
          >
            <span
              className={`block h-5 w-4 border ${look} ${i === at ? "outline-2 outline-offset-1 outline-ink" : ""}`}
            />
          </button>
        );
      })}
    </span>
  );
}

/** Whose answer it is, as far as it may be told. */
const whose = (a: Schemas["ReadAnswer"], place: number): string =>
  a.student === null ? t("answer {{n}}", { n: place }) : t("student {{n}}", { n: a.student });

/** Whether another student begins here. */
const isNext = (answers: Schemas["ReadAnswer"][], i: number): boolean =>
  i > 0 && answers[i]?.student !== answers[i - 1]?.student;

/** How many are read, of the question or, by student, of all questions. */
function readOf(view: Schemas["ReadView"], question: Schemas["OpenQuestion"]): { n: number; all: number } {
  const some = view.item === null ? view.questions : [question];
  const sum = (of: (q: Schemas["OpenQuestion"]) => number) => some.reduce((n, q) => n + of(q), 0);
  return { n: sum((q) => q.answers - q.unread), all: sum((q) => q.answers) };
}
