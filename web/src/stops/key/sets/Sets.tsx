import { keepPreviousData, useMutation, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { useLocation, useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { Button, TextButton } from "../../../parts/Button";
import { shape } from "../../../parts/Mark";
import { MarginPart, Note, Sheet } from "../../../parts/Sheet";
import { Empty, Trouble } from "../../../parts/States";
import { useSettled } from "../../../parts/useSettled";
import { AnswerField } from "../../../places/student/AnswerField";
import { isSaid } from "../../../places/student/said";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import type { Item, Trial } from "../definition";
import type { KeyPage } from "../Key";
import { Saving } from "../KeyMargin";
import { paperOf } from "../paperOf";

/** Whole made-up sets of answers: what each would come to, so that a bound that is off by one is seen beforehand. */
export function Sets({ assessment, draft }: KeyPage) {
  const { definition } = draft;
  const trials = definition.trials ?? [];
  const [chosen, setChosen] = useState<number | null>(null);
  const asked = useSettled(definition);
  const path = { params: { path: { assessment } } };
  const results = useQuery({
    queryKey: ["trials", assessment, asked],
    queryFn: () =>
      ok(api.POST("/api/assessments/{assessment}/trials", { ...path, body: { definition: asked } })),
    enabled: (asked.trials ?? []).length > 0,
    placeholderData: keepPreviousData,
    retry: false,
  });
  const propose = useMutation({
    mutationFn: () =>
      ok(api.POST("/api/assessments/{assessment}/trials/proposed", { ...path, body: { definition } })),
    onSuccess: (proposed) => {
      const names = proposed.map((p) => p.name);
      setTrials([...trials.filter((x) => !names.includes(x.name)), ...proposed]);
    },
  });
  const setTrials = (next: Trial[]) => draft.change((d) => ({ ...d, trials: next }));
  const { state, pathname, search } = useLocation();
  const navigate = useNavigate();
  const brought = (state as { set?: Trial["answers"] } | null)?.set;
  const taken = useRef<Trial["answers"] | undefined>(undefined);
  useEffect(() => {
    if (brought && taken.current !== brought) {
      // Taken once: coming back to this page brings it no second time.
      taken.current = brought;
      void navigate(pathname + search, { replace: true, state: null });
      setTrials([...trials, { name: t("Tried as a student"), answers: brought }]);
      setChosen(trials.length);
    }
  });
  const trial = chosen === null ? undefined : trials[chosen];
  const result = chosen === null ? undefined : results.data?.[chosen];
  return (
    <Sheet
      margin={
        <>
          <MarginPart title={t("What they are for")}>
            <Note>
              {t(
                "Each set is scored as a student's answers would be, and again after every change. The suggested sets land just below and exactly on each threshold.",
              )}
            </Note>
          </MarginPart>
          <Saving assessment={assessment} draft={draft} />
        </>
      }
    >
      <div className="px-6 py-4">
        <div className="mb-3 flex flex-wrap gap-3">
          <Button look="strong" disabled={propose.isPending} onClick={() => propose.mutate()}>
            {t("Suggest sets for every threshold")}
          </Button>
          <Button
            look="quiet"
            onClick={() => {
              setTrials([...trials, { name: t("Answer set {{n}}", { n: trials.length + 1 }), answers: {} }]);
              setChosen(trials.length);
            }}
          >
            {t("New answer set")}
          </Button>
        </div>
        <Trouble error={propose.error ?? results.error} />
        {trials.length === 0 ? (
          <Empty title={t("No answer sets yet.")}>
            {t("Let Scholion suggest some, or answer the questions yourself.")}
          </Empty>
        ) : (
          <SetTable
            trials={trials}
            results={results.data ?? []}
            chosen={chosen}
            onChoose={setChosen}
            onRemove={(i) => {
              setTrials(trials.filter((_, n) => n !== i));
              setChosen(null);
            }}
          />
        )}
        {trial && chosen !== null && (
          <OneSet
            items={definition.items}
            trial={trial}
            marks={result?.marks ?? []}
            onChange={(next) => setTrials(trials.map((x, n) => (n === chosen ? next : x)))}
          />
        )}
      </div>
    </Sheet>
  );
}

function SetTable({
  trials,
  results,
  chosen,
  onChoose,
  onRemove,
}: {
  trials: Trial[];
  results: Schemas["TrialView"][];
  chosen: number | null;
  onChoose: (i: number) => void;
  onRemove: (i: number) => void;
}) {
  return (
    <table className="w-full">
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          {["Set", "Score", "Percent", "Band", "Message and awards", ""].map((name) => (
            <th key={name} scope="col" className="py-1 font-normal">
              {name ? t(name) : <span className="sr-only">{t("take out")}</span>}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {trials.map((trial, i) => {
          const r = results[i];
          return (
            <tr key={i} className={`border-b border-rule ${i === chosen ? "bg-by-rule-wash" : ""}`}>
              <td className="py-1.5">
                <button type="button" className="font-script underline" onClick={() => onChoose(i)}>
                  {trial.name}
                </button>
              </td>
              <td>{r ? `${points(r.score)} / ${points(r.possible)}` : "…"}</td>
              <td className="font-semibold">
                {r?.percent !== undefined && r.percent !== null && `${points(r.percent)}%`}
                {r?.provisional && (
                  <span className="font-normal text-waiting"> · {t("some marks wait for you")}</span>
                )}
              </td>
              <td>
                {r?.band}
                {r?.passed !== undefined && r.passed !== null && (
                  <span className="text-soft"> {r.passed ? t("passes") : t("does not pass")}</span>
                )}
              </td>
              <td className="font-script">
                {r?.message}
                {r && r.awards.length > 0 && (
                  <strong className="block font-sans text-small text-standard">{r.awards.join(", ")}</strong>
                )}
              </td>
              <td className="text-right">
                <TextButton className="text-small text-soft" onClick={() => onRemove(i)}>
                  {t("Remove")}
                </TextButton>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** The answers of one set, in the fields that students have, each with what it gets. */
function OneSet({
  items,
  trial,
  marks,
  onChange,
}: {
  items: Item[];
  trial: Trial;
  marks: Schemas["TrialMark"][];
  onChange: (trial: Trial) => void;
}) {
  const answer = (id: string, said: unknown) => {
    const { [id]: _, ...others } = trial.answers;
    onChange({ ...trial, answers: isSaid(said) ? { ...others, [id]: said } : others });
  };
  return (
    <section className="mt-6" aria-label={trial.name}>
      <input
        aria-label={t("name of the set")}
        value={trial.name}
        className="mb-2 w-full bg-sheet font-script text-words font-semibold"
        onChange={(e) => onChange({ ...trial, name: e.target.value })}
      />
      <ol>
        {items
          .filter((i) => i.kind !== "passage")
          .map((item, n) => {
            const mark = marks.find((m) => m.item === item.id);
            return (
              <li key={item.id} className="grid gap-4 border-b border-rule py-3 md:grid-cols-[1fr_1fr_9rem]">
                <span className="font-script">
                  {n + 1}. {item.prompt}
                </span>
                <AnswerField
                  item={paperOf(item)}
                  answer={trial.answers[item.id] ?? null}
                  onAnswer={(said) => answer(item.id, said)}
                />
                <span className="text-small">
                  {mark && (
                    <>
                      <strong className="text-by-rule">
                        {shape(mark)}{" "}
                        {t("{{got}} of {{of}}", { got: points(mark.points), of: points(mark.of) })}
                      </strong>
                      <br />
                      {mark.because}
                    </>
                  )}
                </span>
              </li>
            );
          })}
      </ol>
    </section>
  );
}
