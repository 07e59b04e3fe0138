import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { useTyped } from "../../parts/typed";
import { useInView } from "../../parts/useInView";
import { t } from "../../text";
import { pointsInWords } from "../../text/figures";
import { sectionQuery, useWhere } from "../Assessment";
import { type DecidedGroup, DecidedRows } from "./DecidedRows";
import { SettleMargin } from "./SettleMargin";

type Group = Schemas["DoubtGroup"];
type Question = Schemas["QuestionDoubts"];
export type Decision = Schemas["Decision"];

/** So many groups of a question are shown at first, and so many more each time. */
const AT_FIRST = 200;

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
          onMore={() => setGroups(groups + AT_FIRST)}
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
  /** Shows more groups of the question. */
  onMore: () => void;
}) {
  const client = useQueryClient();
  const [form, setForm] = useState<string>();
  const [credit, setCredit] = useState("1");
  const [reach, setReach] = useState<Decision["reach"]>("EXACT");
  const [note, setNote] = useState("");
  const [last, setLast] = useTyped<{ decision: Decision; decided: Schemas["Decided"] }[]>(
    `settled:${assessment}`,
    [],
    sessionStorage,
  );
  const question =
    view.questions.find((q) => q.item === item) ??
    view.questions.find((q) => q.waiting > 0) ??
    view.questions[0];
  const decided = question?.decided.find((g) => g.form === form);
  const waiting = question?.groups.find((g) => g.form === form) ?? question?.groups[0];
  const group = decided ? again(decided) : waiting;
  const byHand = reach === "THESE" || group?.byHand === true;
  const decision: Decision | undefined = question &&
    group && {
      item: question.item,
      form: group.form,
      credit,
      reach: byHand ? "THESE" : reach === "HOLDS" && !group.phrase ? "EXACT" : reach,
      phrase: group.phrase,
      note: note || null,
      section: byHand ? section : null,
      saw: group.saw,
    };
  const path = { params: { path: { assessment } } };
  const settle = useMutation({
    mutationFn: (d: Decision) => ok(api.POST("/api/assessments/{assessment}/doubts", { ...path, body: d })),
    onSuccess: async (done, d) => {
      setLast([...last, { decision: d, decided: done }]);
      setForm(undefined);
      setReach("EXACT");
      setCredit("1");
      setNote("");
      await client.invalidateQueries({ queryKey: ["assessment", assessment] });
    },
    // What a colleague decided meanwhile is to be seen at once.
    onError: () => client.invalidateQueries({ queryKey: ["assessment", assessment] }),
  });
  const undo = useMutation({
    mutationFn: ({ decision: d, decided }: (typeof last)[number]) =>
      decided.edition === null
        ? ok(
            api.POST("/api/assessments/{assessment}/doubts/take-back", {
              ...path,
              body: { ...d, saw: decided.saw },
            }),
          )
        : ok(
            api.POST("/api/assessments/{assessment}/editions/undo", {
              ...path,
              body: { edition: decided.edition },
            }),
          ),
    onSuccess: () => {
      setLast(last.slice(0, -1));
      return client.invalidateQueries({ queryKey: ["assessment", assessment] });
    },
  });
  const decide = (share: string) => {
    if (credit === share) {
      confirm();
    } else {
      setCredit(share);
    }
  };
  const confirm = () => {
    if (decision && !settle.isPending) {
      settle.mutate(decision);
    }
  };
  const step = (by: number) => {
    const groups = question?.groups ?? [];
    const at = (decided ? -1 : groups.findIndex((g) => g.form === group?.form)) + by;
    if (groups[at]) {
      setForm(groups[at].form);
    }
  };
  const takeBack = () => {
    const d = last.at(-1);
    if (d && !undo.isPending) {
      undo.mutate(d);
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
      () => setReach(reach === "THESE" ? "EXACT" : "THESE"),
    ],
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
          assessment={assessment}
          question={question}
          group={group}
          decided={decided}
          decision={decision}
          credit={credit}
          onCredit={setCredit}
          reach={byHand ? "THESE" : reach}
          onReach={setReach}
          note={note}
          onNote={setNote}
          onConfirm={confirm}
          pending={settle.isPending}
          error={settle.error ?? undo.error}
          work={settle.data?.effect.job ?? undo.data?.job ?? null}
          undoable={last.length}
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
          <div className="border-b border-rule px-6 pt-4 pb-4">
            <h2 className="text-small font-semibold text-soft">
              {t("Question {{n}}", { n: question.number })} · {pointsInWords(question.points)}
            </h2>
            <p className="my-1 font-script text-words">{question.prompt}</p>
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
          </div>
          <ul>
            {question.groups.map((g) => (
              <GroupRow
                key={g.form}
                group={g}
                here={!decided && g.form === group?.form}
                credit={credit}
                onChoose={() => setForm(g.form)}
                onDecide={decide}
              />
            ))}
          </ul>
          {question.groups.length < question.waiting && (
            <p className="border-b border-rule px-6 py-3">
              <Button onClick={onMore}>{t("Show more of the {{n}} groups", { n: question.waiting })}</Button>
            </p>
          )}
          {question.waiting === 0 && (
            <p className="border-b border-rule px-6 py-4 text-soft">{t("No doubts are left here.")}</p>
          )}
          <DecidedRows groups={question.decided} here={decided?.form} onChoose={setForm} />
          <Then
            title={t("Other questions with doubts")}
            questions={view.questions.filter((q) => q !== question && q.waiting > 0)}
            onChoose={onItem}
          />
          <Then
            title={t("Questions decided in Settle")}
            questions={view.questions.filter((q) => q !== question && q.waiting === 0)}
            onChoose={onItem}
          />
        </>
      )}
    </Sheet>
  );
}

/** A decided group as one to decide about. */
function again(g: DecidedGroup): Group {
  return {
    form: g.form,
    shown: g.shown,
    count: g.count,
    students: g.students,
    because: g.because,
    near: g.because,
    phrase: null,
    like: [],
    byHand: g.these,
    saw: g.saw,
  };
}

const SHARES: [string, string, string][] = [
  ["1", "full credit", "1"],
  ["1/2", "half credit", "2"],
  ["0", "no credit", "0"],
];

function GroupRow({
  group,
  here,
  credit,
  onChoose,
  onDecide,
}: {
  group: Group;
  here: boolean;
  credit: string;
  onChoose: () => void;
  onDecide: (share: string) => void;
}) {
  const row = useInView<HTMLLIElement>(here);
  return (
    <li
      ref={row}
      className={`flex flex-wrap items-center gap-4 border-b border-rule px-6 py-4 ${here ? "border-l-4 border-l-waiting bg-waiting-wash pl-5" : ""}`}
    >
      <span className="w-10 font-script text-title font-semibold text-waiting">{group.count}×</span>
      <button type="button" onClick={onChoose} aria-pressed={here} className="min-w-0 flex-1 text-left">
        <span className={`block font-script break-words ${here ? "text-title" : "text-[1.25rem]"}`}>
          {group.shown}
        </span>
        <span className="text-small text-soft">
          {group.near} · {names(group)}
        </span>
      </button>
      {here && (
        <span className="flex flex-wrap gap-2">
          {SHARES.map(([share, words, key]) => (
            <Button
              key={share}
              look={credit === share ? "strong" : "plain"}
              hotkey={key}
              aria-pressed={credit === share}
              onClick={() => onDecide(share)}
            >
              {t(words)}
            </Button>
          ))}
        </span>
      )}
    </li>
  );
}

function names(group: Group): string {
  const shown = group.students.slice(0, 3).join(", ");
  return group.count > 3 ? `${shown} +${group.count - 3}` : shown;
}

function Then({
  title,
  questions,
  onChoose,
}: {
  title: string;
  questions: Question[];
  onChoose: (item: string) => void;
}) {
  if (questions.length === 0) {
    return null;
  }
  return (
    <section aria-label={title} className="px-6 py-5">
      <h3 className="mb-1 text-small font-semibold text-soft">{title}</h3>
      <ul>
        {questions.map((q) => (
          <li key={q.item} className="border-b border-rule">
            <button
              type="button"
              onClick={() => onChoose(q.item)}
              className="flex w-full gap-6 py-1.5 text-left"
            >
              <span className={`w-8 font-semibold ${q.waiting > 0 ? "text-waiting" : "text-by-person"}`}>
                {q.waiting > 0 ? q.answers - q.settled : q.decidings}
              </span>
              <span>
                {t("Question {{n}}", { n: q.number })} ·{" "}
                <span className="font-script">
                  {(q.waiting > 0 ? q.groups : q.decided)
                    .slice(0, 4)
                    .map((g) => g.shown)
                    .join(", ")}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
