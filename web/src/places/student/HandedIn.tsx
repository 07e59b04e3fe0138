import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { ResultPage } from "../../parts/ResultPage";
import { fileUrl } from "../../parts/upload";
import { t } from "../../text";
import { Again } from "./Again";
import { AnswerField } from "./AnswerField";
import { Asked } from "./Asked";
import { LateState } from "./LateState";
import { PartHead } from "./PartHead";
import { useAutosave } from "./useAutosave";

type Paper = Schemas["Paper"];

/** After the end: what happens now and, where the teacher lets it be seen, the paper with the answers as they are. */
export function HandedIn({ paper }: { paper: Paper }) {
  // What was written in time and could not be sent then is sent now.
  const saver = useAutosave(paper.attempt);
  return (
    <main id="page" className="mx-auto max-w-2xl px-5 py-12">
      <h1 className="font-script text-title font-semibold">{paper.title}</h1>
      <p className="my-4" role="status">
        {paper.handedIn
          ? paper.next.changeUntil
            ? t(
                "You have handed this in. You can still change your answers. Your result will be here when your teacher hands it back.",
              )
            : t(
                "You have handed this in. You cannot change your answers now. Your result will be here when your teacher hands it back.",
              )
          : t("Time is up. Everything that was saved counts and is being handed in for you.")}
      </p>
      {paper.handedIn && paper.rules.wordsAfter && (
        <p className="my-4 font-script text-words whitespace-pre-wrap">{paper.rules.wordsAfter}</p>
      )}
      {paper.receipt && (
        <p className="my-4">
          {t("Your receipt:")}{" "}
          <strong className="font-script text-words tracking-wide">{paper.receipt}</strong>
          <span className="block text-small text-soft">
            {t("This code proves what you handed in and when.")}{" "}
            <Link to={`/receipt?code=${paper.receipt}`} className="underline">
              {t("Check it")}
            </Link>
          </span>
        </p>
      )}
      <LateState saver={saver} />
      {paper.handedIn && <Again paper={paper} />}
      {!paper.open && <p className="my-4 text-soft">{t("The questions cannot be seen now.")}</p>}
      <Link to="/todo" className="underline">
        {t("Back to To do")}
      </Link>
      {paper.handedIn && <SeenAlready attempt={paper.attempt} />}
      {paper.open && <ReadAgain paper={paper} />}
    </main>
  );
}

/** What the teacher lets be seen before it is handed back. */
function SeenAlready({ attempt }: { attempt: string }) {
  const query = useQuery({
    queryKey: ["early", attempt],
    queryFn: () => ok(api.GET("/api/student/attempts/{attempt}/result", { params: { path: { attempt } } })),
  });
  const result = query.data?.result;
  return (
    result && (
      <section aria-label={t("What you can see already")} className="mt-8 border-t border-rule pt-5">
        <ResultPage result={result} />
      </section>
    )
  );
}

function ReadAgain({ paper }: { paper: Paper }) {
  return (
    <fieldset disabled className="mt-8 border-t border-rule">
      <legend className="sr-only">{t("What you answered")}</legend>
      {paper.questions.map((q) => (
        <p key={q.file} className="mt-3">
          <a className="underline" href={fileUrl(q.file)} target="_blank" rel="noreferrer">
            {q.name || t("Open the question paper")}
          </a>
        </p>
      ))}
      {paper.items.map((item, i) => (
        <section key={item.id} className="mt-6" aria-label={t("Question {{n}}", { n: item.number })}>
          {item.part !== paper.items[i - 1]?.part && (
            <PartHead part={paper.parts.find((p) => p.id === item.part)} />
          )}
          <p className="text-small text-soft">
            {item.number > 0 ? t("Question {{n}}", { n: item.number }) : t("Reading passage")}
          </p>
          <Asked item={item} />
          <AnswerField item={item} answer={paper.answers[item.id] ?? null} onAnswer={() => undefined} />
        </section>
      ))}
    </fieldset>
  );
}
