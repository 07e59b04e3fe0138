import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Mark, MarkWithReason, Mastered } from "../../parts/Mark";
import { Overrule } from "../../parts/Overrule";
import { MarginPart, Note } from "../../parts/Sheet";
import { Loaded } from "../../parts/States";
import { t } from "../../text";
import { moment, percent, points } from "../../text/figures";
import { DaysLate } from "./DaysLate";

const WAYS = { SCREEN: "on screen", FILE: "from a file", TYPED: "typed in", PAPER: "on paper" } as const;

/** How a figure came about: from the percent down to each answer and the rule that decided. */
export function Trace({ attempt }: { attempt: string }) {
  const query = useQuery({
    queryKey: ["trace", attempt],
    queryFn: () => ok(api.GET("/api/attempts/{attempt}/trace", { params: { path: { attempt } } })),
  });
  return (
    <Loaded query={query}>
      {(trace) => (
        <>
          <MarginPart title={t("How this score was worked out")}>
            <p className="font-semibold">{trace.student}</p>
            <p>
              <Link to={`/a/${trace.assessment}/examine`} className="font-script underline">
                {trace.title}
              </Link>
            </p>
            <p className="mt-2">
              <strong className="font-script text-title">{points(trace.standing.score)}</strong>{" "}
              {t("of {{of}}", { of: points(trace.standing.possible) })} · {percent(trace.standing.percent)}{" "}
              <strong className="text-standard">{trace.standing.band}</strong>
            </p>
            <p className="text-small">{trace.because}</p>
            <p className="text-small text-soft">
              {t(WAYS[trace.way as keyof typeof WAYS])} ·{" "}
              {t("answered edition {{n}}", { n: trace.editionSeen })} ·{" "}
              {t("scored with edition {{n}}", { n: trace.edition })}
              {trace.standing.provisional && ` · ${t("provisional")}`}
            </p>
            <DaysLate key={trace.attempt + trace.daysLate} trace={trace} />
          </MarginPart>
          <MarginPart title={t("Question by question")}>
            <ol>
              {trace.items.map((item) => (
                <TraceLine key={item.item} attempt={attempt} item={item} />
              ))}
            </ol>
          </MarginPart>
        </>
      )}
    </Loaded>
  );
}

function TraceLine({ attempt, item }: { attempt: string; item: Schemas["TraceItem"] }) {
  return (
    <li className="border-t border-rule py-2">
      <p className="flex gap-2 font-script">
        <strong className="font-sans">{item.number}</strong>
        <span className="min-w-0 break-words">
          {item.answer || <span className="text-soft">{t("no answer")}</span>}
        </span>
      </p>
      <MarkWithReason mark={item.mark} />
      <Mastered mark={item.mark} />
      <Overrule attempt={attempt} item={item.item} number={item.number} />
      {item.counted === null && <p className="text-small text-soft">{t("not counted")}</p>}
      {item.earlier.length > 0 && (
        <details className="text-small">
          <summary className="cursor-pointer text-soft">
            {t("{{count}} earlier marks", { count: item.earlier.length })}
          </summary>
          {item.earlier.map((m) => (
            <Note key={m.at}>
              <Mark mark={m} /> {m.because}
              <span className="block text-soft">
                {m.at && moment(m.at)} · {t("edition {{n}}", { n: m.edition })}
                {m.who && ` · ${m.who}`}
                {m.takenBackBy && ` · ${t("taken back by {{who}}", { who: m.takenBackBy })}`}
              </span>
            </Note>
          ))}
        </details>
      )}
    </li>
  );
}
