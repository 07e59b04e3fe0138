import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { Sheet } from "../../parts/Sheet";
import { useTyped } from "../../parts/typed";
import { t } from "../../text";
import { useHeader } from "../Assessment";
import { Answer } from "./Answer";
import { AnswerText } from "./AnswerText";
import { unread } from "./afterReading";
import { Earlier } from "./beside/Earlier";
import { OnPaper } from "./beside/OnPaper";
import { useAlsoHere } from "./beside/useBeside";
import { WhoReads } from "./beside/WhoReads";
import { useDigits } from "./digits";
import { Drawing } from "./drawing/Drawing";
import { removeDrawn, useDrawn } from "./drawing/useDrawn";
import { Examples } from "./examples/Examples";
import { Hints } from "./hints/Hints";
import { useHints } from "./hints/useHints";
import { WhichHints } from "./hints/WhichHints";
import { keepPlace, pileOf, withNames, withPile, withQuestion } from "./pile";
import { putReading } from "./putReading";
import { ReadMargin } from "./ReadMargin";
import { isComplete, withLevel } from "./reading";
import { OnWords } from "./remarks/OnWords";
import { useRemarks } from "./remarks/useRemarks";
import { SecondReading } from "./SecondReading";
import { useReading } from "./useReading";

type View = Schemas["ReadView"];
type ReadAnswer = Schemas["ReadAnswer"];

/** A reading that was saved from this window, and the mark that it made: by it, it can be taken back. */
type Made = {
  answer: string;
  item: string;
  names: boolean;
  saw: string;
  /** Set where a line or a note was drawn instead. */
  drawn?: string;
};
const MOST_UNDO = 200;

/** One answer after the other, with the rubric under the digits; stop anywhere, go on later. */
export function Reader({
  assessment,
  view,
  queryKey,
  names,
  wanted,
  onFrom,
}: {
  assessment: string;
  view: View;
  queryKey: unknown[];
  names: boolean;
  /** The place of the answer to begin with, among all; null for the first unread. */
  wanted: number | null;
  /** Goes to an answer that is not among those on the page; null for the next unread, wherever it is. */
  onFrom: (place: number | null) => void;
}) {
  const client = useQueryClient();
  const [params, setParams] = useSearchParams();
  const [at, setAt] = useState(() =>
    wanted === null
      ? Math.max(
          0,
          view.answers.findIndex((a) => unread(a) && !a.held),
        )
      : Math.max(0, Math.min(wanted - view.from, view.answers.length - 1)),
  );
  const answer = (view.answers[at] ?? view.answers[0]) as ReadAnswer;
  const question = view.questions.find((q) => q.item === answer.item) as Schemas["OpenQuestion"];
  const byStudent = view.item === null;
  const put = (saved: ReadAnswer) => putReading(client, queryKey, saved);
  const [made, setMade] = useTyped<Made[]>(`read:${assessment}`, [], sessionStorage);
  const madeNow = useRef(made);
  madeNow.current = made;
  const reading = useReading({
    assessment,
    question,
    answer,
    names,
    onSaved: async (saved) => {
      await put(saved);
      const one = { answer: saved.answer, item: saved.item, names, saw: saved.saw };
      setMade([...madeNow.current, one].slice(-MOST_UNDO));
    },
  });
  const { change, set: setChange, save } = reading;
  const { focus, setFocus, keys } = useDigits(question, (criterion, level) =>
    setChange(withLevel(change, criterion, level)),
  );
  // Another answer begins with its first criterion.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the answer is what it is about
  useEffect(() => {
    setFocus(0);
  }, [answer.answer, answer.item]);
  const drawn = useDrawn({
    assessment,
    item: question.item,
    answer: answer.answer,
    names,
    any: answer.attachments.length > 0,
  });
  const which = { assessment, item: question.item, answer: answer.answer, names };
  const alsoHere = useAlsoHere(which);
  const remarks = useRemarks(answer, change, setChange);
  const following = view.answers[at + 1];
  const hints = useHints(
    { assessment, item: question.item, names },
    answer.answer,
    following?.item === answer.item ? following.answer : undefined,
  );
  const undo = useMutation({
    mutationFn: async (last: Made) =>
      last.drawn
        ? removeDrawn({ assessment, ...last }, last.drawn).then(() => null)
        : ok(
            api.POST("/api/assessments/{assessment}/readings/{item}/{answer}/undo", {
              params: {
                path: { assessment, item: last.item, answer: last.answer },
                query: { names: last.names },
              },
              body: { saw: last.saw },
            }),
          ),
    onSuccess: (back, last) => {
      // An older reading of the same answer can be taken back from what stands now.
      setMade(
        made
          .filter((m) => m !== last)
          .map((m) =>
            back && m.answer === last.answer && m.item === last.item ? { ...m, saw: back.saw } : m,
          ),
      );
      if (back === null) {
        void client.invalidateQueries({ queryKey: ["drawn", assessment, last.item, last.answer] });
      }
      const where = view.answers.findIndex((a) => a.answer === last.answer && a.item === last.item);
      const isHere = byStudent ? where >= 0 : last.item === question.item;
      if (isHere && last.names === names) {
        if (back) {
          void put(back);
        }
        setAt(where < 0 ? at : where);
      } else {
        void client.invalidateQueries({ queryKey: ["readings", assessment] });
        setParams(withNames(withQuestion(params, last.item), last.names));
      }
    },
    onError: (error) => {
      // What cannot be taken back any more; after a cut or a sign-in it is tried again.
      if (error instanceof Problem && error.status === 409) {
        setMade(made.slice(0, -1));
      }
    },
  });
  const more = useRef(0);
  const takeBack = () => {
    if (undo.isPending) {
      more.current++;
      return;
    }
    reading.whenSaved(() => {
      const last = madeNow.current.at(-1);
      if (last) {
        undo.mutate(last);
      }
    });
  };
  // Pressed while one was on its way: one after the other.
  useEffect(() => {
    if (!undo.isPending && more.current > 0) {
      more.current--;
      takeBack();
    }
  });
  const theirs = overtaken(save.error);
  const complete = isComplete(change, question);
  const next = (from: number) => {
    const order = [...view.answers.keys()].map((i) => (from + 1 + i) % view.answers.length);
    const found = order.find(
      (i) => i !== from && view.answers[i] && unread(view.answers[i]) && !view.answers[i].held,
    );
    const left = view.answers.filter((a, i) => i !== from && unread(a)).length;
    const waiting = byStudent ? view.questions.reduce((sum, q) => sum + q.mine, 0) : question.mine;
    if (found === undefined && waiting - left > (unread(answer) ? 1 : 0)) {
      // The next unread is not on this page.
      onFrom(null);
      void client.invalidateQueries({ queryKey: ["readings", assessment] });
    } else if (found === undefined) {
      step(1);
    } else {
      setAt(found);
    }
  };
  const go = (place: number) => {
    reading.leave();
    setAt(place);
  };
  const saveAndGo = () => {
    if (complete) {
      reading.whenSaved(() => next(at), { ...change, hold: false });
    }
  };
  const hold = () => reading.whenSaved(() => next(at), { ...change, hold: true });
  const last = view.found - 1;
  useEffect(() => {
    keepPlace(view.from + at);
  }, [view.from, at]);
  const step = (by: number) => {
    const place = Math.max(0, Math.min(last, view.from + at + by));
    const here = place - view.from;
    reading.leave();
    here >= 0 && here < view.answers.length ? setAt(here) : onFrom(place);
  };
  useKeys([
    ...remarks.keys,
    ...keys,
    ["Enter", t("next unread"), saveAndGo],
    ["[", t("previous answer"), () => step(-1)],
    ["]", t("next answer"), () => step(1)],
    ["j", "", () => step(1)],
    ["k", "", () => step(-1)],
    ["h", t("hold back"), hold],
    ["/", t("comment"), () => document.getElementById("comment")?.focus()],
    ["n", t("private note"), () => document.getElementById("private-note")?.focus()],
    ["u", t("take back your last reading"), takeBack],
  ]);
  const mayName = useHeader(assessment, null).data?.share === "ALL";
  const toggleNames = () => setParams(withNames(params, !names), { replace: true });
  return (
    <Sheet
      margin={
        <ReadMargin
          question={question}
          change={change}
          onChange={setChange}
          focus={focus}
          onFocus={setFocus}
          error={save.error ?? undo.error}
          onSave={saveAndGo}
          theirs={theirs}
          onTheirs={() => {
            if (theirs) {
              reading.forget();
              void put(theirs);
              undo.reset();
            }
          }}
          onMine={() => theirs && reading.sendOver(theirs)}
          areWordsChosen={remarks.chosen !== null}
          onWords={<OnWords text={answer.text} remarks={remarks} />}
          paper={<OnPaper key={answer.answer} {...which} />}
          examples={
            <Examples
              key={`examples of ${question.item}`}
              assessment={assessment}
              question={question}
              answer={answer}
              change={change}
              names={names}
              mayAgree={mayName}
            />
          }
          hints={
            mayName && (
              <WhichHints key={`hints for ${question.item}`} assessment={assessment} item={question.item} />
            )
          }
          second={
            <>
              <SecondReading
                assessment={assessment}
                question={question}
                answer={answer}
                third={change.third ?? false}
                onThird={() => setChange({ ...change, levels: {}, points: null, why: "", third: true })}
                mayPlan={mayName}
              />
              {mayName && <WhoReads assessment={assessment} questions={view.questions} />}
            </>
          }
        />
      }
    >
      <div className="flex min-h-full flex-col">
        <Answer
          view={view}
          question={question}
          answer={answer}
          at={at}
          names={names}
          alsoHere={alsoHere}
          pile={pileOf(params)}
          onPile={(pile) => {
            onFrom(null);
            setParams(withPile(params, pile), { replace: true });
          }}
          onNames={mayName ? toggleNames : undefined}
          hints={hints && <Hints key={answer.answer} hints={hints} question={question} />}
          onGo={go}
          onQuestion={(item) => setParams(withQuestion(params, item))}
        >
          {(answer.text !== "" || answer.attachments.length === 0) && (
            <AnswerText
              text={answer.text}
              remarks={change.remarks ?? []}
              slips={hints?.slips ?? []}
              chosen={remarks.chosen}
              onChoose={remarks.choose}
              onRemark={remarks.open}
            />
          )}
          {answer.attachments.length > 0 && (
            <Drawing
              key={answer.answer + answer.item}
              name={answer.answer + answer.item}
              files={answer.attachments}
              drawn={drawn}
              onDrawn={(mark) =>
                setMade(
                  [
                    ...madeNow.current,
                    { answer: answer.answer, item: answer.item, names, saw: "", drawn: mark },
                  ].slice(-MOST_UNDO),
                )
              }
            />
          )}
          <Earlier
            key={`earlier than ${answer.answer}`}
            which={which}
            text={answer.text}
            any={view.retaken}
          />
        </Answer>
        <div className="sticky bottom-0 mt-auto flex flex-wrap items-center gap-2 border-t border-rule bg-sheet px-6 py-3">
          <Button look="quiet" hotkey="[" onClick={() => step(-1)} disabled={view.from + at === 0}>
            {t("Previous")}
          </Button>
          <Button look="quiet" hotkey="]" onClick={() => step(1)} disabled={view.from + at === last}>
            {t("Next")}
          </Button>
          <Button look="quiet" hotkey="H" onClick={hold}>
            {t("hold back")}
          </Button>
          {made.length > 0 && (
            <Button look="quiet" hotkey="U" onClick={takeBack} disabled={undo.isPending}>
              {t("Undo")}
            </Button>
          )}
          <span className="mx-auto text-small text-soft" role="status">
            {reading.isSaved
              ? t("Saved.")
              : save.isPending
                ? t("Saving…")
                : t("Kept on this device until it is saved.")}
          </span>
          <Button look="strong" hotkey="Enter" disabled={!complete} onClick={saveAndGo}>
            {t("Next unread")}
          </Button>
        </div>
      </div>
    </Sheet>
  );
}

/** The reading that a colleague made meanwhile, where that is why this one was not saved. */
function overtaken(error: unknown): ReadAnswer | undefined {
  return error instanceof Problem ? (error.theirs as ReadAnswer | undefined) : undefined;
}
