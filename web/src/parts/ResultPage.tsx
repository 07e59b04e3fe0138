import type { ReactNode } from "react";
import type { Schemas } from "../api/client";
import { withoutPlaces } from "../stops/key/kinds/blanks";
import { t } from "../text";
import { percent, points } from "../text/figures";
import { Linked } from "./Linked";
import { Mark, Mastered } from "./Mark";
import { AttachedTo, type DrawnOf } from "./pages/AttachedTo";
import { Rich } from "./Rich";
import { Remarked, SaidOfWords } from "./remarks/Remarked";

type Result = Schemas["StudentResult"];

/** A student's result: the teacher's preview and the student's own page are drawn by this. */
export function ResultPage({
  result,
  after,
  own = false,
  drawnOf,
}: {
  result: Result;
  /** Whether it is the page itself; else it stands on another one. */
  own?: boolean;
  /** Whose page it is, for what is drawn on attachments; nothing is drawn where it is left out. */
  drawnOf?: DrawnOf;
  after?: (item: Schemas["ResultItem"]) => ReactNode;
}) {
  const Title = own ? "h1" : "h2";
  return (
    <article className="@container">
      <header className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
        <Title className="font-script text-[1.6rem] font-semibold">
          {result.title}{" "}
          <span className="ml-2 font-sans text-body font-normal text-soft">{result.student}</span>
        </Title>
        {result.score !== null && result.possible !== null && (
          <p>
            <strong className="font-script text-[2rem] font-semibold">{points(result.score)}</strong>{" "}
            <span className="text-soft">
              {t("of {{of}}", { of: points(result.possible) })} · {percent(result.percent)}
            </span>{" "}
            <strong className="text-standard">{result.band}</strong>
          </p>
        )}
      </header>
      {result.provisional && (
        <p className="mt-2 text-waiting">
          {t("Some answers are not marked yet, so this result may change.")}
        </p>
      )}
      {result.because && <p className="mt-2 text-small text-soft">{result.because}</p>}
      {result.message && (
        <p className="mt-3 font-script text-words">
          <Linked text={result.message} />
        </p>
      )}
      {(result.said ?? []).map((s) => (
        <p key={s.name} className="mt-3 border-l-3 border-by-person bg-by-person-wash px-3 py-2">
          <span className="font-script text-words whitespace-pre-wrap">
            <Linked text={s.text} />
          </span>
          <span className="block text-small text-soft">{s.name}</span>
        </p>
      ))}
      {(result.awards ?? []).map((a) => (
        <p key={a.title} className="mt-3 border-l-3 border-standard bg-standard-wash px-3 py-2">
          <strong className="text-standard">{a.title}</strong>
          {a.words && <span className="block font-script">{a.words}</span>}
        </p>
      ))}
      {result.ofClass && (
        <p className="mt-3 text-soft">
          {t("Your class: {{mean}} on average, half of them between {{low}} and {{high}}.", {
            mean: percent(result.ofClass.mean),
            low: percent(result.ofClass.low),
            high: percent(result.ofClass.high),
          })}{" "}
          {t("This rests on {{count}} students whose marks are decided.", {
            count: result.ofClass.students,
          })}
        </p>
      )}
      {(result.standards ?? []).length > 0 && (
        <OnStandards all={result.standards ?? []} heading={own ? "h2" : "h3"} />
      )}
      <ol className="mt-5 border-t border-rule">
        {result.items.map((item) => (
          <li
            key={item.item}
            className="grid grid-cols-[2rem_1fr] gap-x-2 border-b border-rule py-3 @lg:grid-cols-[2rem_1fr_17rem]"
          >
            <strong>{item.number}</strong>
            <div className="min-w-0">
              <p className="text-soft">{withoutPlaces(item.prompt)}</p>
              <Said item={item} />
              {(item.attachments ?? []).length > 0 && <AttachedTo item={item} of={drawnOf} />}
            </div>
            <div className="col-start-2 @lg:col-start-3">
              {item.mark && (
                <>
                  <Mark mark={item.mark} student />
                  <p className="text-small">
                    <Linked text={item.comment || item.mark.because} />
                  </p>
                  {item.comment && item.mark.state === "scored" && (
                    <p className="text-small text-soft">{item.mark.because}</p>
                  )}
                  {item.counts && <p className="text-small font-semibold">{item.counts}</p>}
                  <Mastered mark={item.mark} />
                  <p className="text-small text-soft">{who(item.mark)}</p>
                </>
              )}
              {item.feedback && <Rich html={item.feedback} className="font-script text-small" />}
              {item.key !== null && (
                <p className="text-small">
                  {t("Right answer:")} <span className="font-script">{item.key}</span>
                </p>
              )}
              {after?.(item)}
            </div>
          </li>
        ))}
      </ol>
    </article>
  );
}

/** What was shown of each standard, with how much it rests on. */
function OnStandards({ all, heading: Heading }: { all: Schemas["ResultStandard"][]; heading: "h2" | "h3" }) {
  return (
    <section aria-label={t("Standards")} className="mt-4 border-l-3 border-standard pl-3">
      <Heading className="text-small font-semibold text-standard">{t("How far on each standard")}</Heading>
      <ul className="mt-1 grid gap-y-1">
        {all.map((s) => (
          <li key={s.code} className="flex flex-wrap items-baseline gap-x-3">
            <span className="min-w-0 flex-1 basis-60 wrap-anywhere">
              <strong className="text-standard">{s.code}</strong> {s.text}
            </span>
            <span className="whitespace-nowrap">
              <strong>{percent(s.percent)}</strong>{" "}
              <span className="text-small text-soft">
                {t("{{score}} of {{of}} points", { score: points(s.score), of: points(s.possible) })}
              </span>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The answer, with what its reader says of single words. */
function Said({ item }: { item: Schemas["ResultItem"] }) {
  const remarks = item.remarks ?? [];
  if (item.answer === null) {
    return <SaidOfWords text={null} comments={remarks} />;
  }
  if (item.answer && remarks.length > 0) {
    return <Remarked text={item.answer} remarks={remarks} />;
  }
  return (
    <p className="font-script text-words break-words whitespace-pre-wrap">
      {item.answer || <span className="text-soft">{withoutAnswer(item.mark)}</span>}
    </p>
  );
}

/** What stands where no answer is: a mark that a person gave without one belongs to an answer given elsewhere. */
function withoutAnswer(mark: Schemas["ResultMark"] | null | undefined): string {
  return mark?.state === "scored" && mark.by === "PERSON" ? t("given elsewhere") : t("no answer");
}

function who(mark: Schemas["ResultMark"]): string {
  if (mark.by === "NOBODY" || mark.state === "blank") {
    return "";
  }
  return mark.by === "RULE"
    ? t("Decided by the answer key")
    : t("decided by {{who}}", { who: mark.who ?? t("your teacher") });
}
