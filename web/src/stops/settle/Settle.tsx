import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { pointsInWords } from "../../text/figures";
import { sectionQuery, useWhere } from "../Assessment";
import { DecidedRows } from "./DecidedRows";
import { again, type Choice, type Decision, decisionOf, isWide, PLAIN, reachOf } from "./decision";
import { GroupRow } from "./GroupRow";
import { OtherQuestions } from "./OtherQuestions";
import { SettleMargin } from "./SettleMargin";
import { usePreview } from "./usePreview";
import { useSettling } from "./useSettling";

/** So many groups of a question are shown at first, and so many more each time. */
const AT_FIRST = 200;

/** So many are decided at once. */
const AT_ONCE = 2_000;

/** One question at a time, groups of equal answers by size; one decision settles all equal ones. */
export function Settle() {
  const { assessment, section } = useWhere();
  const [item, setItem] = useState<string>();
  const [groups, setGroups] = useState(AT_FIRST);
  const query = useQuery({
    queryKey: ["assessment", assessment, "doubts", section, item, groups],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/doubts", {
          params: {
            path: { assessment },
            query: { ...sectionQuery(section), ...(item ? { item } : {}), groups },
          },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  return (
    <Loaded query={query}>
      {(view) => (
        <Doubts
          assessment={assessment}
          section={section}
          view={view}
          item={item}
          onItem={(next) => {
            setItem(next);
            setGroups(AT_FIRST);
          }}
          onMore={(all) => setGroups(all ? AT_ONCE : groups + AT_FIRST)}
        />
      )}
    </Loaded>
  );
}

function Doubts({
  assessment,
  section,
  view,
  item,
  onItem,
  onMore,
}: {
  assessment: string;
  section: string | null;
  view: Schemas["DoubtsView"];
  item: string | undefined;
  onItem: (item: string) => void;
  /** Shows more groups of the question, or all of them. */
  onMore: (all: boolean) => void;
}) {
  const [form, setForm] = useState<string>();
  const [together, setTogether] = useState<ReadonlySet<string>>(new Set());
  /** What is left of a question counts nothing: all of its groups, also those that are still on their way. */
  const [closing, setClosing] = useState<string>();
  const [choice, setChoice] = useState<Choice>(PLAIN);
  const [wanted, setWanted] = useState<Decision | null>(null);
  const question =
    view.questions.find((q) => q.item === item) ??
    view.questions.find((q) => q.waiting > 0) ??
    view.questions[0];
  const decided = question?.decided.find((g) => g.form === form);
  const here = question?.groups.find((g) => g.form === form) ?? question?.groups[0];
  const isClosing = question !== undefined && closing === question.item;
  const groups = useMemo(() => {
    if (decided) {
      return [again(decided)];
    }
    const chosen = (question?.groups ?? []).filter((g) => isClosing || together.has(g.form));
    return chosen.length > 0 ? chosen : here ? [here] : [];
  }, [decided, question, isClosing, together, here]);
  const decision = useMemo(
    () => question && decisionOf(question.item, groups, choice, section),
    [question, groups, choice, section],
  );
  const next = useMemo(
    () => (question?.groups ?? []).filter((g) => !g.byHand && !groups.includes(g)),
    [question, groups],
  );
  const preview = usePreview(assessment, decision, next, section);
  const clear = () => {
    setForm(undefined);
    setTogether(new Set());
    setClosing(undefined);
    setChoice(PLAIN);
  };
  const toQuestion = (which: string) => {
    clear();
    onItem(which);
  };
  const { settle, undoable, takeBack, error, work } = useSettling(assessment, clear);
  const contradicts = (preview.data?.also ?? []).some((a) => a.contradicts !== null);
  const mayConfirm =
    decision !== undefined && preview.isOf && !settle.isPending && (!contradicts || choice.despite);
  const confirm = () => {
    if (decision && mayConfirm) {
      setWanted(null);
      settle.mutate(decision);
    } else {
      setWanted(decision ?? null);
    }
  };
  // Pressed before the effect was there: it is confirmed as soon as it has been seen, unless something else is chosen.
  useEffect(() => {
    if (wanted && wanted === decision && mayConfirm) {
      setWanted(null);
      settle.mutate(wanted);
    }
  }, [wanted, decision, mayConfirm, settle.mutate]);
  const setCredit = (credit: string) => setChoice({ ...choice, credit });
  const decide = (share: string) => (choice.credit === share ? confirm() : setCredit(share));
  /** A rule made for one group, and that it is wanted in spite of something, goes with this group. */
  const choose = (which: string) => {
    setForm(which);
    if (isWide(choice.reach)) {
      setChoice({ ...choice, reach: "EXACT", phrase: "", despite: false });
    }
  };
  const step = (by: number) => {
    const all = question?.groups ?? [];
    const to = all[(decided ? -1 : all.findIndex((g) => g.form === here?.form)) + by];
    if (to) {
      choose(to.form);
    }
  };
  const toggle = (which: string) => {
    const next = new Set(together);
    next.delete(which) || next.add(which);
    setTogether(next);
    setClosing(undefined);
    setChoice({ ...choice, despite: false });
  };
  const close = () => {
    if (question && question.waiting > 0) {
      if (!isClosing) {
        onMore(true);
      }
      setForm(undefined);
      setClosing(isClosing ? undefined : question.item);
      setChoice({ ...PLAIN, credit: isClosing ? "1" : "0" });
    }
  };
  useKeys([
    ["1", t("full marks"), () => setCredit("1")],
    ["2", t("half marks"), () => setCredit("1/2")],
    ["0", t("no marks"), () => setCredit("0")],
    [".", t("other credit"), () => document.getElementById("other-credit")?.focus()],
    [
      "v",
      t("these students only (the key stays the same)"),
      () => setChoice({ ...choice, reach: choice.reach === "THESE" ? "EXACT" : "THESE" }),
    ],
    ["t", t("decide together with others"), () => here && !decided && toggle(here.form)],
    ["c", t("close the question: what is left counts nothing"), close],
    ["Enter", t("settle"), confirm],
    ["j", t("next answer"), () => step(1)],
    ["k", t("previous answer"), () => step(-1)],
    ["ArrowDown", "", () => step(1)],
    ["ArrowUp", "", () => step(-1)],
    ["u", t("undo"), takeBack],
  ]);
  return (
    <Sheet
      margin={
        <SettleMargin
          question={question}
          groups={groups}
          decided={decided}
          preview={preview}
          choice={{ ...choice, reach: reachOf(groups, choice.reach) }}
          onChoice={setChoice}
          closing={isClosing}
          mayConfirm={mayConfirm}
          onConfirm={confirm}
          error={error}
          work={work}
          undoable={undoable}
          onUndo={takeBack}
        />
      }
    >
      {!question ? (
        <Empty title={t("Nothing is in doubt.")}>
          {t("Answers that the key cannot decide come here. The same answers are grouped.")}
        </Empty>
      ) : (
        <>
          <QuestionHead question={question} closing={isClosing} onClose={close} />
          <ul>
            {question.groups.map((g) => (
              <GroupRow
                key={g.form}
                question={question}
                group={g}
                here={!decided && g.form === here?.form}
                together={isClosing || together.has(g.form)}
                credit={choice.credit}
                onChoose={() => choose(g.form)}
                onTogether={() => toggle(g.form)}
                onDecide={decide}
              />
            ))}
          </ul>
          {question.groups.length < question.waiting && (
            <p className="border-b border-rule px-6 py-3">
              <Button onClick={() => onMore(false)}>
                {t("Show more of the {{n}} groups", { n: question.waiting })}
              </Button>
            </p>
          )}
          {question.waiting === 0 && (
            <p className="border-b border-rule px-6 py-4 text-soft">{t("No doubts are left here.")}</p>
          )}
          <DecidedRows groups={question.decided} here={decided?.form} onChoose={choose} />
          <OtherQuestions
            title={t("Other questions with doubts")}
            questions={view.questions.filter((q) => q !== question && q.waiting > 0)}
            onChoose={toQuestion}
          />
          <OtherQuestions
            title={t("Questions decided in Settle")}
            questions={view.questions.filter((q) => q !== question && q.waiting === 0)}
            onChoose={toQuestion}
          />
        </>
      )}
    </Sheet>
  );
}

function QuestionHead({
  question,
  closing,
  onClose,
}: {
  question: Schemas["QuestionDoubts"];
  closing: boolean;
  onClose: () => void;
}) {
  return (
    <div className="border-b border-rule px-6 pt-4 pb-4">
      <h2 className="text-small font-semibold text-soft">
        {t("Question {{n}}", { n: question.number })} · {pointsInWords(question.points)}
      </h2>
      <p className="my-1 font-script text-words">{question.prompt}</p>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <p className="text-small text-soft">
          {t(
            "The key decided {{settled}} of {{all}}. {{waiting}} answers in {{groups}} groups wait for you.",
            {
              settled: question.settled,
              all: question.answers,
              waiting: question.answers - question.settled,
              groups: question.waiting,
            },
          )}
        </p>
        {question.waiting > 0 && (
          <Button look="quiet" hotkey="C" aria-pressed={closing} onClick={onClose} className="ml-auto">
            {closing ? t("Keep it open") : t("Close the question")}
          </Button>
        )}
      </div>
    </div>
  );
}
