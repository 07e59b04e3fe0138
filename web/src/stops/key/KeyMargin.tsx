import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type ReactNode, useDeferredValue, useState } from "react";
import { api, ok } from "../../api/client";
import { Button } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { ShareWith } from "../../places/bank/ShareWith";
import { t } from "../../text";
import { useHeader } from "../Assessment";
import { Decisions } from "./decisions/Decisions";
import type { Item } from "./definition";
import { Examples, exampleOf, ShortResult } from "./Examples";
import { GiveOut } from "./GiveOut";
import { HowItCounts } from "./HowItCounts";
import { IfYouSave } from "./IfYouSave";
import { ItemHistory } from "./ItemHistory";
import { KeyFrom } from "./KeyFrom";
import { MeanwhileNote } from "./MeanwhileNote";
import { Print } from "./Print";
import { placeInWords } from "./place";
import { TryAnswer } from "./TryAnswer";
import type { useDraft } from "./useDraft";

type Draft = ReturnType<typeof useDraft>;

const SAVED = {
  saved: "Saved",
  saving: "Saving…",
  unsaved: "Saving…",
  failed: "Not saved",
};

/** What is said about the chosen item: how it scores, what a tried answer gets, and what saving would do. */
export function KeyMargin({
  assessment,
  draft,
  item,
  onChange,
  children,
}: {
  assessment: string;
  draft: Draft;
  item: Item | undefined;
  onChange: (item: Item) => void;
  children?: ReactNode;
}) {
  const keyOnly = useHeader(assessment, null).data?.share === "KEY";
  return (
    <>
      {item && item.kind !== "passage" && <OneItem item={item} onChange={onChange} />}
      {item && item.kind !== "passage" && draft.givenOut && (
        <HowItCounts definition={draft.definition} item={item.id} onChange={draft.change} />
      )}
      {item && draft.givenOut && !keyOnly && <Decisions assessment={assessment} item={item.id} />}
      {children}
      <Saving assessment={assessment} draft={draft} />
      {item && !keyOnly && <ItemHistory assessment={assessment} item={item} onChange={onChange} />}
      {!keyOnly && <ShareWith kind="ASSESSMENT" object={assessment} title={t("This key is shared with")} />}
    </>
  );
}

/** Whether it is saved, what would come of it, and what can be done with the whole key. */
export function Saving({ assessment, draft }: { assessment: string; draft: Draft }) {
  const keyOnly = useHeader(assessment, null).data?.share === "KEY";
  return (
    <>
      <MeanwhileNote draft={draft} />
      <p className="mb-3 flex gap-2">
        <Button look="quiet" hotkey="U" disabled={!draft.steps.undo} onClick={draft.undo}>
          {t("Undo")}
        </Button>
        <Button look="quiet" hotkey="Shift U" disabled={!draft.steps.redo} onClick={draft.redo}>
          {t("Redo")}
        </Button>
      </p>
      {draft.error && <Trouble error={draft.error} />}
      {keyOnly ? (
        <p className="mb-4 text-small text-soft" role="status">
          {draft.givenOut
            ? t(
                "This has been given out. Only its teachers can change it now; you can copy it into a course of yours.",
              )
            : t(SAVED[draft.state])}
        </p>
      ) : draft.givenOut ? (
        <IfYouSave assessment={assessment} draft={draft} />
      ) : (
        <>
          <p className="mb-4 text-small text-soft" role="status">
            {t(SAVED[draft.state])}
          </p>
          <GiveOut assessment={assessment} draft={draft} />
        </>
      )}
      {draft.definition.items.length > 0 && draft.faults.length === 0 && <Print assessment={assessment} />}
      {!keyOnly && <KeyFrom assessment={assessment} draft={draft} />}
      <p className="mb-5 text-small">
        <a className="underline" href={`/api/assessments/${assessment}/file`} download>
          {t("Save the key as a file")}
        </a>
      </p>
    </>
  );
}

function OneItem({ item, onChange }: { item: Item; onChange: (item: Item) => void }) {
  const [now, setNow] = useState<unknown>(null);
  // Typing never waits for what is said about it.
  const asked = useDeferredValue(item);
  const check = useQuery({
    queryKey: ["check", asked, now],
    queryFn: () =>
      ok(api.POST("/api/items/check", { body: { item: asked, answers: now === null ? [] : [now] } })),
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const faults = check.data?.faults ?? [];
  const latest = now === null ? undefined : check.data?.tried[0];
  return (
    <>
      <MarginPart title={t("How this scores")}>
        {faults.length > 0 ? (
          <Note by="waiting">
            <p className="font-semibold text-waiting">{t("Not finished yet")}</p>
            <ul className="text-small">
              {faults.map((f) => (
                <li key={f.path + f.message}>
                  <strong>{placeInWords(f.path)}</strong> {f.message}
                </li>
              ))}
            </ul>
          </Note>
        ) : (
          <Note by={item.kind === "open" ? "person" : "rule"}>{check.data?.words ?? "…"}</Note>
        )}
      </MarginPart>
      <MarginPart title={t("Try an answer")}>
        <TryAnswer
          key={(item.examples ?? []).length}
          item={item}
          onTry={setNow}
          onKeep={(answer) => {
            if (latest) {
              onChange({ ...item, examples: [...(item.examples ?? []), exampleOf(answer, latest)] });
              setNow(null);
            }
          }}
        />
        <div aria-live="polite" className="mt-2 min-h-12">
          {latest && (
            <>
              <ShortResult result={latest} long />
              <p className="text-small">{latest.because}</p>
            </>
          )}
        </div>
      </MarginPart>
      {(item.examples ?? []).length > 0 && (
        <MarginPart title={t("Examples, checked again after every change")}>
          <Examples
            item={item}
            results={check.data?.examples ?? []}
            onChange={(examples) => onChange({ ...item, examples })}
          />
        </MarginPart>
      )}
    </>
  );
}
