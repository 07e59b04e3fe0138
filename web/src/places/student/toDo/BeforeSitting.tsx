import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Empty, Loaded, Trouble } from "../../../parts/States";
import { fileUrl } from "../../../parts/upload";
import { t } from "../../../text";
import { moment } from "../../../text/figures";
import { useToDo } from "./useToDo";

type Line = Schemas["ToDoLine"];

/** The page before the questions: what the teacher says, how it is taken, and the code where one is asked for. */
export function BeforeSitting() {
  const { sitting = "" } = useParams();
  const query = useToDo();
  return (
    <main
      id="page"
      className="mx-auto w-full max-w-2xl bg-sheet px-5 pt-5 pb-10 sm:my-6 sm:border sm:border-rule"
    >
      <Loaded query={query}>
        {(all) => {
          const line = all.find((l) => l.sitting === sitting);
          return line ? (
            <Told line={line} />
          ) : (
            <Empty title={t("This is not here for you.")}>
              {t("It may be closed, or given to others. Look under To do, or ask your teacher.")}
            </Empty>
          );
        }}
      </Loaded>
      <Link to="/todo" className="mt-6 inline-block underline">
        {t("Back to To do")}
      </Link>
    </main>
  );
}

/** What holds for this sitting, in sentences. */
function rulesOf(line: Line): string[] {
  const { rules } = line;
  const PRACTICE = {
    NONE: "",
    ONCE: t("This is a practice: you can look at each answer at once, and then it stays."),
    AGAIN: t("This is a practice: you can look at each answer at once and try again."),
    UNTIL_RIGHT: t("This is a practice: you look at each answer and go on when it is right."),
  };
  return [
    line.minutes
      ? t("You have {{count}} minutes from the moment you begin.", { count: line.minutes })
      : t("There is no time limit until it closes."),
    t("It closes {{when}}.", { when: moment(line.closes) }),
    line.lateUntil
      ? t("You can hand in late until {{when}}. It then counts as late.", { when: moment(line.lateUntil) })
      : "",
    rules.goingBack ? "" : t("You cannot go back to a question that you have left."),
    rules.mustAnswer ? t("Every question needs an answer.") : "",
    PRACTICE[rules.practice],
    rules.attempts > 1 ? t("You can take it {{count}} times in all.", { count: rules.attempts }) : "",
    rules.changes ? t("After handing in you can change your answers until your time is over.") : "",
    rules.calculator ? t("There is a calculator on the page.") : "",
    rules.fullScreen ? t("It is meant to be taken in full screen. The page offers it.") : "",
    rules.leavingCounted ? t("Your teacher sees how often you leave the page.") : "",
  ].filter((sentence) => sentence !== "");
}

/** The teacher's words, and what holds. */
export function WhatIsTold({ line }: { line: Line }) {
  return (
    <>
      {line.rules.picture && (
        <img
          src={fileUrl(line.rules.picture)}
          alt={line.rules.pictureWords ?? ""}
          className="my-4 max-h-72 max-w-full"
        />
      )}
      {line.rules.words && (
        <p className="my-4 font-script text-words whitespace-pre-wrap wrap-anywhere">{line.rules.words}</p>
      )}
      <ul className="my-4 list-disc pl-5">
        {rulesOf(line).map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </>
  );
}

function Told({ line }: { line: Line }) {
  const navigate = useNavigate();
  const [code, setCode] = useState("");
  const another = line.stage === "IN" && line.attemptsLeft > 0;
  const begin = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/student/sittings/{sitting}/attempt", {
          params: { path: { sitting: line.sitting } },
          body: { code: code || null, another },
        }),
      ),
    onSuccess: ({ attempt }) => navigate(`/sit/${attempt}`),
  });
  const onSubmit = (e: FormEvent) => {
    e.preventDefault();
    begin.mutate();
  };
  const asksCode = line.asksCode && (line.stage === "OPEN" || another);
  return (
    <>
      <h1 className="font-script text-title font-semibold">{line.title}</h1>
      <p className="text-small text-soft">{line.course}</p>
      <WhatIsTold line={line} />
      {line.stage === "COMING" && (
        <p role="status">{t("It is not open yet. It opens {{when}}.", { when: moment(line.opens) })}</p>
      )}
      {line.stage === "IN" && (
        <p role="status" className="mb-3">
          {t("You have handed this in.")}{" "}
          {another && t("You can take it {{count}} times more.", { count: line.attemptsLeft })}
        </p>
      )}
      {line.stage === "MISSED" && (
        <p role="status">{t("It is closed. If you still need to hand in, ask your teacher.")}</p>
      )}
      {(line.stage === "OPEN" || line.stage === "WORKING" || another) && (
        <form onSubmit={onSubmit} className="grid max-w-xs gap-3">
          {asksCode && (
            <Field
              label={t("The code from the board")}
              value={code}
              autoComplete="off"
              autoCapitalize="characters"
              spellCheck={false}
              onChange={(e) => setCode(e.target.value)}
            />
          )}
          <Trouble error={begin.error} />
          <Button
            type="submit"
            look="strong"
            className="min-h-11 justify-center"
            disabled={begin.isPending || (asksCode && code.trim() === "")}
          >
            {another ? t("Take it once more") : line.stage === "OPEN" ? t("Begin") : t("Continue")}
          </Button>
        </form>
      )}
    </>
  );
}
