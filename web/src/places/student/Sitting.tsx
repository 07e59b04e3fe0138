import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { useNavigate, useParams, useSearchParams } from "react-router";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { useConnection } from "../../api/connection";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { SchoolSign } from "../../parts/SchoolSign";
import { Loaded } from "../../parts/States";
import { fileUrl } from "../../parts/upload";
import { t } from "../../text";
import { pointsInWords } from "../../text/figures";
import { AnswerField } from "./AnswerField";
import { AnswerSheet } from "./AnswerSheet";
import { Asked, Hint, Passage } from "./Asked";
import { CheckAndHandIn } from "./CheckAndHandIn";
import { TimeLeft } from "./clock/TimeLeft";
import { useSittingClock } from "./clock/useSittingClock";
import { HandedIn } from "./HandedIn";
import { LateState } from "./LateState";
import { OtherWindowNote } from "./OtherWindowNote";
import type { Said } from "./onDevice";
import { PartHead } from "./PartHead";
import { askedOn, type Page, pagesOf } from "./pages";
import { isSaid } from "./said";
import { useAutosave } from "./useAutosave";

type Paper = Schemas["Paper"];

/** A student's sitting: one question a page, always saved, always saying so. */
export function Sitting() {
  const { attempt = "" } = useParams();
  const query = useQuery({
    queryKey: ["paper", attempt],
    queryFn: () => ok(api.GET("/api/student/attempts/{attempt}", { params: { path: { attempt } } })),
    staleTime: Number.POSITIVE_INFINITY,
    refetchOnWindowFocus: false,
  });
  return (
    <Loaded query={query}>
      {(paper) =>
        paper.handedIn || !paper.open ? (
          <HandedIn paper={paper} />
        ) : (
          <Taking paper={paper} paperAt={query.dataUpdatedAt} />
        )
      }
    </Loaded>
  );
}

function Taking({ paper, paperAt }: { paper: Paper; paperAt: number }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const saver = useAutosave(paper.attempt, paper.places);
  const clock = useSittingClock(paper, paperAt);
  const [said, setSaid] = useState<Record<string, Said>>(() => {
    const all: Record<string, Said> = {};
    for (const item of paper.items) {
      all[item.id] = { answer: paper.answers[item.id] ?? null, flagged: paper.flagged.includes(item.id) };
    }
    return { ...all, ...saver.kept };
  });
  const pages = useMemo(() => pagesOf(paper.items), [paper.items]);
  const at = Math.min(pages.length, Math.max(0, Number(params.get("page") ?? 1) - 1));
  const go = (to: number) => {
    setParams({ page: String(Math.max(0, Math.min(pages.length, to)) + 1) });
    window.scrollTo(0, 0);
  };
  const page = pages[at];
  const item = page?.item;
  const current = item && (said[item.id] as Said);
  const say = (id: string, next: Said) => {
    setSaid((before) => ({ ...before, [id]: next }));
    saver.say(id, next);
  };
  const handIn = useMutation({
    mutationFn: async () => {
      if (!(await saver.flush())) {
        throw new Problem(
          0,
          "unsent",
          Object.keys(saver.others).length > 0
            ? t("Another window says something else to a question. Choose there first which answer counts.")
            : t(
                "Not everything could be sent yet. It is kept on this device; hand in again when there is a connection.",
              ),
          [],
        );
      }
      await ok(
        api.POST("/api/student/attempts/{attempt}/hand-in", { params: { path: { attempt: paper.attempt } } }),
      );
    },
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ["paper", paper.attempt] });
      void client.invalidateQueries({ queryKey: ["todo"] });
      void navigate(`/sit/${paper.attempt}`, { replace: true });
    },
  });
  useKeys([
    ["ArrowRight", t("next question"), () => go(at + 1)],
    ["ArrowLeft", t("previous question"), () => go(at - 1)],
  ]);
  return (
    <div className="mx-auto flex min-h-dvh max-w-2xl flex-col border-rule bg-sheet sm:border-x">
      <header className="sticky top-0 z-10 border-b border-rule bg-paper px-4 pt-3 pb-2">
        <div className="flex items-baseline justify-between gap-4">
          <h1 className="truncate font-script text-words font-semibold">{paper.title}</h1>
          <SchoolSign />
          <TimeLeft left={clock.left} moreUntil={clock.moreUntil} />
        </div>
        {paper.questions.length > 0 && (
          <p className="mt-1 text-small">
            {t("Question paper:")}{" "}
            {paper.questions.map((q) => (
              <a
                key={q.file}
                className="mr-3 underline"
                href={fileUrl(q.file)}
                target="_blank"
                rel="noreferrer"
              >
                {q.name || t("Open the question paper")}
              </a>
            ))}
          </p>
        )}
        <Progress pages={pages} said={said} at={at} onGo={go} />
      </header>
      <main id="page" className="flex-1 px-4 py-5">
        {clock.isOver && (
          <p role="alert" className="mb-4 border-l-4 border-waiting bg-waiting-wash px-3 py-2 font-semibold">
            {t("Time is up. Everything that was saved counts and is being handed in for you.")}
          </p>
        )}
        <fieldset disabled={clock.isOver} className="min-w-0 disabled:opacity-60">
          {page &&
            askedOn(page).map((asked) => (
              <OtherWindowNote
                key={asked.id}
                item={asked}
                other={saver.others[asked.id]}
                onChoose={(mine) => {
                  const other = saver.others[asked.id];
                  saver.chosen(asked.id);
                  if (mine || !other) {
                    say(asked.id, {
                      flagged: false,
                      ...said[asked.id],
                      answer: said[asked.id]?.answer ?? null,
                    });
                  } else {
                    say(asked.id, { answer: other.answer, flagged: other.flagged });
                  }
                }}
              />
            ))}
          {page && page.item.part !== pages[at - 1]?.item.part && (
            <PartHead part={paper.parts.find((p) => p.id === page.item.part)} />
          )}
          {page && page.rows.length > 0 ? (
            <AnswerSheet
              key={page.item.id}
              rows={page.rows}
              said={said}
              onSay={(id, answer) => say(id, { flagged: false, ...said[id], answer })}
            />
          ) : item && current ? (
            <section
              aria-label={t("Question {{n}}", { n: item.number })}
              data-title={item.number > 0 ? t("Question {{n}}", { n: item.number }) : t("Reading passage")}
              key={item.id}
            >
              <p className="text-small text-soft">
                {item.number > 0
                  ? t("Question {{n}} of {{all}}", {
                      n: item.number,
                      all: paper.items.filter((i) => i.number > 0).length,
                    })
                  : t("Reading passage")}
                {item.number > 0 && ` · ${pointsInWords(item.points)}`}
              </p>
              {page.stem && <Passage item={page.stem} />}
              <Asked item={item} />
              <AnswerField
                item={item}
                answer={current.answer}
                onAnswer={(answer) => say(item.id, { ...current, answer })}
              />
              <Hint hint={item.hint} />
              {page.reasons.map((reason) => (
                <section
                  key={reason.id}
                  className="mt-6"
                  aria-label={t("Question {{n}}", { n: reason.number })}
                >
                  <p className="text-small text-soft">
                    {t("Question {{n}}", { n: reason.number })} · {pointsInWords(reason.points)}
                  </p>
                  <Asked item={reason} />
                  <AnswerField
                    item={reason}
                    answer={said[reason.id]?.answer ?? null}
                    onAnswer={(answer) => say(reason.id, { flagged: false, ...said[reason.id], answer })}
                  />
                </section>
              ))}
              {item.number > 0 && (
                <button
                  type="button"
                  aria-pressed={current.flagged}
                  onClick={() => say(item.id, { ...current, flagged: !current.flagged })}
                  className={`mt-5 min-h-11 rounded-corner px-2 ${current.flagged ? "bg-waiting-wash font-semibold text-waiting" : "text-soft"}`}
                >
                  <span aria-hidden="true">⚐ </span>
                  {t("Come back to this")}
                </button>
              )}
            </section>
          ) : (
            <CheckAndHandIn
              paper={paper}
              pages={pages}
              said={said}
              onGo={go}
              onHandIn={() => handIn.mutate()}
              pending={handIn.isPending}
              error={handIn.error}
            />
          )}
        </fieldset>
      </main>
      <footer className="sticky bottom-0 border-t border-rule bg-paper px-4 py-3">
        <SavedState saver={saver} />
        <div className="mt-2 flex flex-wrap gap-3">
          <Button
            className="min-h-11 grow justify-center"
            hotkey="←"
            disabled={at === 0}
            onClick={() => go(at - 1)}
          >
            {t("Previous")}
          </Button>
          {at < pages.length && (
            <Button
              look="strong"
              className="min-h-11 grow-2 basis-32 justify-center"
              hotkey="→"
              onClick={() => go(at + 1)}
            >
              {at === pages.length - 1 ? t("Check and hand in") : t("Next")}
            </Button>
          )}
        </div>
      </footer>
    </div>
  );
}

function SavedState({ saver }: { saver: ReturnType<typeof useAutosave> }) {
  const connection = useConnection();
  const offline = saver.offline || connection.offline;
  if (saver.refused || saver.late) {
    return <LateState saver={saver} />;
  }
  return (
    <p role="status" className={`text-small ${offline ? "text-waiting" : "text-soft"}`}>
      {offline ? (
        <>
          <strong>{t("No connection. You can keep working.")}</strong>{" "}
          {t("{{count}} answers are saved on this device. They will be sent when the connection is back.", {
            count: saver.unsent,
          })}
        </>
      ) : saver.unsent > 0 ? (
        t("Saving…")
      ) : saver.savedAt ? (
        t("Saved")
      ) : (
        t("Everything you answer is saved as you go.")
      )}
    </p>
  );
}

function Progress({
  pages,
  said,
  at,
  onGo,
}: {
  pages: Page[];
  said: Record<string, Said>;
  at: number;
  onGo: (to: number) => void;
}) {
  return (
    <nav aria-label={t("Questions")} className="mt-2 flex flex-wrap gap-1">
      {pages.map((page, i) => {
        const { item } = page;
        const one = said[item.id];
        const asked = askedOn(page);
        const given = asked.filter((q) => isSaid(said[q.id]?.answer)).length;
        const done = asked.length > 0 && given === asked.length;
        const look = one?.flagged
          ? "border-waiting bg-waiting-wash"
          : done
            ? "border-ink bg-ink"
            : "border-rule-strong bg-sheet";
        return (
          <button
            key={item.id}
            type="button"
            aria-current={i === at ? "step" : undefined}
            aria-label={`${name(page)}, ${done ? t("answered") : page.rows.length > 0 ? `${given} / ${asked.length}` : t("no answer yet")}${one?.flagged ? `, ${t("to come back to")}` : ""}`}
            onClick={() => onGo(i)}
            className={`h-6 min-w-6 border text-small ${page.rows.length > 0 ? "flex-4" : "flex-1"} ${look} ${i === at ? "outline-2 outline-offset-1 outline-waiting" : ""}`}
          >
            {page.rows.length > 0 && !done && `${given} / ${asked.length}`}
          </button>
        );
      })}
    </nav>
  );
}

/** What a page is called: its question, or the first and last of its rows. */
function name(page: Page): string {
  const last = page.rows.at(-1);
  return last
    ? t("Questions {{n}} to {{last}}", { n: page.item.number, last: last.number })
    : t("Question {{n}}", { n: page.item.number });
}
