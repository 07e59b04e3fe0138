import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { shape } from "../../parts/Mark";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { points } from "../../text/figures";
import { type Item, isTyped } from "./definition";
import { GiveOut } from "./GiveOut";
import { IfYouSave } from "./IfYouSave";
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
  edition,
}: {
  assessment: string;
  draft: Draft;
  item: Item | undefined;
  edition: number | null;
}) {
  return (
    <>
      {item && <OneItem assessment={assessment} item={item} />}
      {draft.error && <Trouble error={draft.error} />}
      {draft.givenOut ? (
        <IfYouSave assessment={assessment} draft={draft} edition={edition ?? 0} />
      ) : (
        <>
          <p className="mb-4 text-small text-soft" role="status">
            {t(SAVED[draft.state])}
          </p>
          <GiveOut assessment={assessment} draft={draft} />
        </>
      )}
      <p className="mb-5 text-small">
        <a className="underline" href={`/api/assessments/${assessment}/file`} download>
          {t("Save the key as a file")}
        </a>
      </p>
    </>
  );
}

function OneItem({ assessment, item }: { assessment: string; item: Item }) {
  const store = `tried:${assessment}:${item.id}`;
  const [tried, setTried] = useState<unknown[]>(() => JSON.parse(localStorage.getItem(store) ?? "[]"));
  const [now, setNow] = useState<unknown>(null);
  const keep = (all: unknown[]) => {
    setTried(all);
    localStorage.setItem(store, JSON.stringify(all));
  };
  const answers = now === null ? tried : [...tried, now];
  const check = useQuery({
    queryKey: ["check", item, answers],
    queryFn: () => ok(api.POST("/api/items/check", { body: { item, answers } })),
    placeholderData: keepPreviousData,
    staleTime: Number.POSITIVE_INFINITY,
  });
  const faults = check.data?.faults ?? [];
  const results = check.data?.tried ?? [];
  const latest = now === null ? undefined : results[tried.length];
  return (
    <>
      <MarginPart title={t("How this scores")}>
        {faults.length > 0 ? (
          <Note by="waiting">
            <p className="font-semibold text-waiting">{t("Not finished yet")}</p>
            <ul className="text-small">
              {faults.map((f) => (
                <li key={f.path + f.message}>
                  <strong>{f.path}</strong> {f.message}
                </li>
              ))}
            </ul>
          </Note>
        ) : (
          <Note by={item.kind === "open" ? "person" : "rule"}>{check.data?.words ?? "…"}</Note>
        )}
      </MarginPart>
      {item.kind !== "passage" && isTyped(item) && (
        <MarginPart title={t("Try an answer")}>
          <TryAnswer
            item={item}
            onTry={setNow}
            onKeep={(answer) => {
              keep([...tried, answer]);
              setNow(null);
            }}
          />
          <div aria-live="polite" className="mt-2 min-h-12">
            {latest && <TriedResult result={latest} />}
          </div>
        </MarginPart>
      )}
      {tried.length > 0 && (
        <MarginPart title={t("Tried before, checked again at every change")}>
          <ul>
            {tried.map((answer, i) => (
              <li key={i} className="flex items-baseline gap-2 py-0.5">
                <span className="min-w-0 flex-1 font-script break-words">{shown(item, answer)}</span>
                <ShortResult result={results[i]} />
                <TextButton
                  className="text-small text-soft"
                  aria-label={t("forget {{answer}}", { answer: shown(item, answer) })}
                  onClick={() => keep(tried.filter((_, n) => n !== i))}
                >
                  −
                </TextButton>
              </li>
            ))}
          </ul>
        </MarginPart>
      )}
    </>
  );
}

function TriedResult({ result }: { result: Schemas["Tried"] }) {
  return (
    <>
      <ShortResult result={result} long />
      <p className="text-small">{result.because}</p>
    </>
  );
}

function ShortResult({ result, long = false }: { result: Schemas["Tried"] | undefined; long?: boolean }) {
  if (!result) {
    return null;
  }
  if (result.state === "settle" || result.state === "read") {
    return (
      <strong className="whitespace-nowrap text-waiting">
        {result.state === "settle" ? t("to settle") : t("to read")}
      </strong>
    );
  }
  return (
    <strong className="whitespace-nowrap text-by-rule">
      <span aria-hidden="true">{shape(result)} </span>
      {long
        ? t("{{got}} of {{of}}", { got: points(result.points), of: points(result.of) })
        : points(result.points)}
    </strong>
  );
}

function shown(item: Item, answer: unknown): string {
  if (!Array.isArray(answer)) {
    return String(answer);
  }
  return answer.map((id) => item.options?.find((o) => o.id === id)?.text || String(id)).join(" + ");
}
