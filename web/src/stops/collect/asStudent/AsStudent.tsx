import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { Toggle } from "../../../parts/Field";
import { MarginPart, Note, Sheet } from "../../../parts/Sheet";
import { Loaded } from "../../../parts/States";
import { TakingView } from "../../../places/student/Taking";
import { WhatIsTold } from "../../../places/student/toDo/BeforeSitting";
import { useWayThrough } from "../../../places/student/useWayThrough";
import { t } from "../../../text";
import { useHeader, useWhere } from "../../Assessment";
import { Pick } from "../sitting/boxes";
import { useSitting } from "../sitting/useSitting";
import { seenInWords } from "./seenInWords";
import { TriedResult } from "./TriedResult";
import { type Answers, answersOf, NO_PRACTICE, useDryAnswers, useDryClock } from "./useDry";

type View = Schemas["AsStudentView"];

/** A sitting as its students have it, from the page before it to handing in. Nothing of it counts. */
export function AsStudent() {
  const { assessment } = useWhere();
  const [params, setParams] = useSearchParams();
  const sitting = params.get("sitting");
  const student = params.get("student");
  const [phone, setPhone] = useState(true);
  const [again, setAgain] = useState(0);
  const query = useQuery({
    queryKey: ["as-student", assessment, sitting, student, again],
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/as-student", {
          params: {
            path: { assessment },
            query: { ...(sitting ? { sitting } : {}), ...(student ? { student } : {}) },
          },
        }),
      ),
  });
  const choose = (name: string, value: string) => {
    const next = new URLSearchParams(name === "sitting" ? {} : params);
    value ? next.set(name, value) : next.delete(name);
    next.delete("page");
    setParams(next);
    setAgain(again + 1);
  };
  return (
    <Loaded query={query}>
      {(view) => (
        <Sheet
          bare
          margin={
            <>
              <MarginPart title={t("Seen as a student")}>
                <Note by="rule">
                  {t(
                    "Nothing of it counts: it is no attempt, and what you type is kept only if you keep it as an answer set.",
                  )}
                </Note>
                <Whose assessment={assessment} sitting={sitting} student={student} onChoose={choose} />
                <p className="mt-3 flex flex-wrap gap-2">
                  <Toggle on={phone} onChange={() => setPhone(true)}>
                    {t("On a telephone")}
                  </Toggle>
                  <Toggle on={!phone} onChange={() => setPhone(false)}>
                    {t("On a desk")}
                  </Toggle>
                </p>
              </MarginPart>
              {view.wrong.length > 0 && (
                <MarginPart title={t("To put right before giving out")}>
                  {view.wrong.map((words) => (
                    <Note key={words} by="waiting">
                      {words}
                    </Note>
                  ))}
                </MarginPart>
              )}
              <MarginPart title={t("What they see of it afterwards")}>
                <ul className="list-disc pl-5 text-small">
                  {seenInWords(view.seen).map((words) => (
                    <li key={words}>{words}</li>
                  ))}
                </ul>
              </MarginPart>
              <Link
                to={sitting ? `/a/${assessment}/sittings/${sitting}` : `/a/${assessment}/key`}
                className="underline"
              >
                {sitting ? t("Back to the sitting") : t("Back to the key")}
              </Link>
            </>
          }
        >
          <div className={`mx-auto px-4 py-5 ${phone ? "max-w-[392px]" : "max-w-3xl"}`}>
            <Steps
              key={`${view.paper.attempt} ${again}`}
              view={view}
              assessment={assessment}
              sitting={sitting}
              at={query.dataUpdatedAt}
              onAgain={() => {
                choose("page", "");
              }}
            />
          </div>
        </Sheet>
      )}
    </Loaded>
  );
}

/** In which sitting, and with what is different for whom. */
function Whose({
  assessment,
  sitting,
  student,
  onChoose,
}: {
  assessment: string;
  sitting: string | null;
  student: string | null;
  onChoose: (name: string, value: string) => void;
}) {
  const header = useHeader(assessment, null);
  const given = useQuery({
    queryKey: ["assessment", assessment, "collect", null],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/collect", { params: { path: { assessment } } })),
  });
  const nameOf = (section: string) => header.data?.sections.find((s) => s.id === section)?.name ?? "";
  return (
    <div className="grid justify-items-start gap-2">
      <Pick
        label={t("In")}
        value={sitting ?? ""}
        options={[
          ["", t("a sitting as usual")],
          ...(given.data?.sittings ?? []).map((s): [string, string] => [
            s.id,
            t("the sitting of {{section}}", { section: nameOf(s.section) }),
          ]),
        ]}
        onChange={(value) => onChoose("sitting", value)}
      />
      {sitting && <ForWhom assessment={assessment} sitting={sitting} student={student} onChoose={onChoose} />}
    </div>
  );
}

function ForWhom({
  assessment,
  sitting,
  student,
  onChoose,
}: {
  assessment: string;
  sitting: string;
  student: string | null;
  onChoose: (name: string, value: string) => void;
}) {
  const query = useSitting(assessment, sitting);
  const different = query.data?.different ?? [];
  return (
    different.length > 0 && (
      <Pick
        label={t("For")}
        value={student ?? ""}
        options={[
          ["", t("anybody")],
          ...different.map((d): [string, string] => [d.student, `${d.given} ${d.family}`]),
        ]}
        onChange={(value) => onChoose("student", value)}
      />
    )
  );
}

function Steps({
  view,
  assessment,
  sitting,
  at,
  onAgain,
}: {
  view: View;
  assessment: string;
  sitting: string | null;
  at: number;
  onAgain: () => void;
}) {
  const [step, setStep] = useState<"before" | "work" | "in">("before");
  const [answers, setAnswers] = useState<Answers>({});
  const { paper } = view;
  if (step === "work") {
    return (
      <Working
        paper={paper}
        at={at}
        onIn={(said) => {
          setAnswers(said);
          setStep("in");
        }}
      />
    );
  }
  return (
    <section aria-label={paper.title} className="border border-rule bg-sheet px-5 py-5">
      <h2 className="font-script text-title font-semibold">{paper.title}</h2>
      {step === "before" ? (
        <>
          <WhatIsTold line={view.line} />
          {view.line.asksCode && <p className="mb-3">{t("Here the code from the board is typed.")}</p>}
          <Button look="strong" className="min-h-11 w-full justify-center" onClick={() => setStep("work")}>
            {t("Begin")}
          </Button>
        </>
      ) : (
        <>
          <p role="status" className="my-4">
            {t("Here it is handed in, and a receipt stands in this place.")}
          </p>
          {paper.rules.wordsAfter && (
            <p className="my-4 font-script text-words whitespace-pre-wrap">{paper.rules.wordsAfter}</p>
          )}
          <Button className="min-h-11" onClick={onAgain}>
            {t("From the beginning")}
          </Button>
          <TriedResult
            assessment={assessment}
            sitting={sitting}
            attempt={paper.attempt}
            answers={answers}
            seen={view.seen}
          />
        </>
      )}
    </section>
  );
}

function Working({
  paper,
  at,
  onIn,
}: {
  paper: Schemas["Paper"];
  at: number;
  onIn: (answers: Answers) => void;
}) {
  const written = useDryAnswers(paper);
  const clock = useDryClock(paper, at);
  const way = useWayThrough(paper, clock.rules, () => undefined);
  return (
    <TakingView
      within
      paper={paper}
      written={written}
      clock={clock}
      way={way}
      left={false}
      practice={NO_PRACTICE}
      handIn={{ mutate: () => onIn(answersOf(written.said)), isPending: false, error: null }}
    />
  );
}
