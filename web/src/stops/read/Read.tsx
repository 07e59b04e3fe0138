import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useSearchParams } from "react-router";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { same } from "../../parts/same";
import { type Typed, useTypedStore } from "../../parts/typed";
import { t } from "../../text";
import { sectionQuery, useWhere } from "../Assessment";
import { Answer } from "./Answer";
import { afterReading, unread } from "./afterReading";
import { ReadMargin } from "./ReadMargin";

export type Change = Schemas["ReadingChange"];
type View = Schemas["ReadView"];
type ReadAnswer = Schemas["ReadAnswer"];

/** Open answers by question, with the rubric under the digits; stop anywhere, go on later. */
export function Read() {
  const { assessment, section } = useWhere();
  const [params] = useSearchParams();
  const item = params.get("question");
  const names = params.get("names") === "shown";
  const key = ["readings", assessment, section, item, names];
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/readings", {
          params: {
            path: { assessment },
            query: { ...sectionQuery(section), ...(item ? { item } : {}), names },
          },
        }),
      ),
    staleTime: 30_000,
  });
  return (
    <Loaded query={query}>
      {(view) =>
        view.answers.length === 0 ? (
          <Sheet margin={null}>
            <Empty title={t("Nothing to read.")}>
              {view.questions.length === 0
                ? t("This paper has no open question.")
                : t("Open answers come here as soon as a student has handed in.")}
            </Empty>
          </Sheet>
        ) : (
          <Reader
            key={`${view.item}${names}${section}`}
            assessment={assessment}
            view={view}
            queryKey={key}
            names={names}
          />
        )
      }
    </Loaded>
  );
}

function Reader({
  assessment,
  view,
  queryKey,
  names,
}: {
  assessment: string;
  view: View;
  queryKey: unknown[];
  names: boolean;
}) {
  const client = useQueryClient();
  const [params, setParams] = useSearchParams();
  const question = view.questions.find((q) => q.item === view.item) as Schemas["OpenQuestion"];
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      view.answers.findIndex((a) => unread(a) && !a.held),
    ),
  );
  const answer = (view.answers[at] ?? view.answers[0]) as ReadAnswer;
  const typed = useTypedStore<Change>(`reading:${assessment}:${question.item}:${answer.answer}`);
  const [change, showChange] = useState<Change>(() => typed.read() ?? of(answer));
  const [focus, setFocus] = useState(0);
  useEffect(() => {
    showChange(typed.read() ?? of(answer));
    setFocus(0);
  }, [answer, typed]);
  const setChange = (next: Change) => {
    typed.keep(same(next, of(answer)) ? null : next);
    showChange(next);
  };

  const path = {
    path: { assessment, answer: answer.answer, item: question.item },
    query: { names },
  };
  const put = (saved: ReadAnswer) => {
    client.setQueryData<View>(queryKey, (v) => v && afterReading(v, saved));
  };
  // Another answer may be on the page when this one is saved: what was typed goes from where it was kept.
  const done = {
    onMutate: () => typed,
    onSuccess: (saved: ReadAnswer, _: unknown, kept: Typed<Change>) => {
      kept.keep(null);
      put(saved);
    },
  };
  const save = useMutation({
    mutationFn: (body: Change) =>
      ok(api.PUT("/api/assessments/{assessment}/readings/{item}/{answer}", { params: path, body })),
    ...done,
  });
  const undo = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/readings/{item}/{answer}/undo", {
          params: path,
          body: { saw: answer.saw },
        }),
      ),
    ...done,
  });
  const theirs = overtaken(save.error ?? undo.error);
  const complete =
    question.criteria.every((c) => change.levels[c.id] !== undefined) &&
    (question.criteria.length > 0 || !!change.points);
  const next = (from: number) => {
    const order = [...view.answers.keys()].map((i) => (from + 1 + i) % view.answers.length);
    const found = order.find(
      (i) => i !== from && view.answers[i] && unread(view.answers[i]) && !view.answers[i].held,
    );
    return found ?? Math.min(from + 1, view.answers.length - 1);
  };
  const saveAndGo = () => {
    if (complete && !save.isPending) {
      save.mutate({ ...change, hold: false }, { onSuccess: () => setAt(next(at)) });
    }
  };
  const hold = () => save.mutate({ ...change, hold: true }, { onSuccess: () => setAt(next(at)) });
  const step = (by: number) => setAt(Math.max(0, Math.min(view.answers.length - 1, at + by)));
  const choose = (digit: number) => {
    const criterion = question.criteria[focus];
    const level = criterion?.levels[digit];
    if (criterion && level) {
      setChange({ ...change, levels: { ...change.levels, [criterion.id]: level.id } });
      setFocus(Math.min(focus + 1, question.criteria.length - 1));
    }
  };
  useKeys([
    ...Array.from(
      { length: 10 },
      (_, d) =>
        [String(d), d === 0 ? t("a level, then the next criterion (0 to 9)") : "", () => choose(d)] as [
          string,
          string,
          () => void,
        ],
    ),
    ["Enter", t("save, next unread"), saveAndGo],
    ["[", t("earlier answer"), () => step(-1)],
    ["]", t("later answer"), () => step(1)],
    ["j", "", () => step(1)],
    ["k", "", () => step(-1)],
    ["h", t("hold back"), hold],
    ["/", t("comment"), () => document.getElementById("comment")?.focus()],
    ["n", t("private note"), () => document.getElementById("private-note")?.focus()],
    ["u", t("undo"), () => undo.mutate()],
  ]);
  const toggleNames = () => {
    const nextParams = new URLSearchParams(params);
    names ? nextParams.delete("names") : nextParams.set("names", "shown");
    setParams(nextParams, { replace: true });
  };
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
              typed.keep(null);
              put(theirs);
              save.reset();
              undo.reset();
            }
          }}
          onMine={() => {
            if (theirs) {
              save.mutate({ ...change, hold: false, saw: theirs.saw });
            }
          }}
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
          onNames={toggleNames}
          onGo={setAt}
          onQuestion={(item) => {
            const nextParams = new URLSearchParams(params);
            nextParams.set("question", item);
            setParams(nextParams);
          }}
        />
        <div className="sticky bottom-0 mt-auto flex flex-wrap items-center gap-2 border-t border-rule bg-sheet px-6 py-3">
          <Button look="quiet" hotkey="[" onClick={() => step(-1)} disabled={at === 0}>
            {t("earlier")}
          </Button>
          <Button look="quiet" hotkey="]" onClick={() => step(1)} disabled={at === view.answers.length - 1}>
            {t("later")}
          </Button>
          <Button look="quiet" hotkey="H" onClick={hold}>
            {t("hold back")}
          </Button>
          <span className="mx-auto text-small text-soft" role="status">
            {save.isPending ? t("Saving…") : t("Kept on this device until you save it.")}
          </span>
          <Button look="strong" hotkey="Enter" disabled={!complete || save.isPending} onClick={saveAndGo}>
            {t("Save, next unread")}
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

function of(answer: ReadAnswer): Change {
  return {
    levels: answer.levels,
    points: answer.points,
    comment: answer.comment,
    note: answer.note,
    hold: answer.held,
    saw: answer.saw,
  };
}
