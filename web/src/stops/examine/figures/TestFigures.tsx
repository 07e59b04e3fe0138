import type { Schemas } from "../../../api/client";
import { t } from "../../../text";
import { figure, points } from "../../../text/figures";
import { useHeader, useWhere } from "../../Assessment";
import type { View } from "./useExamine";

const WHY: Record<Schemas["ResultsMean"]["why"][number], string> = {
  ADJUSTED: "questions were credited to all or count as a bonus",
  PARTLY_DECIDED: "some marks are not decided in full yet and count with what is decided",
  BEST_COUNT: "only the best questions of a part count",
  EXCUSED: "some students were excused from a question",
  LATE: "lateness takes points off",
  NOT_BELOW_ZERO: "scores below 0 count as 0",
};

/** The figures of the paper, what they rest on, and what could still move them. */
export function TestFigures({ view }: { view: View }) {
  const { test, range, time } = view;
  const { assessment, section } = useWhere();
  const expected = useHeader(assessment, section).data?.line.expected ?? test.n;
  return (
    <div className="flex flex-wrap items-baseline gap-x-7 gap-y-1 border-b border-rule px-5 py-3">
      <span>
        {expected > test.n
          ? t("{{n}} of {{all}} students", { n: test.n, all: expected })
          : t("{{count}} students", { count: test.n })}
      </span>
      <One name={t("mean")} f={test.mean} after={t("of {{of}}", { of: points(view.possible) })} />
      <One name={t("standard deviation")} f={test.sd} />
      <One name={t("reliability (α)")} f={test.alpha} />
      <One name={t("standard error of a score")} f={test.sem} before="± " />
      <p className="w-full text-small text-soft">
        {[
          range &&
            t("With this error, a score of {{score}}% could as well be {{low}}% or {{high}}%.", { ...range }),
          time &&
            t("Answering took {{median}} minutes (the middle half: {{q1}} to {{q3}}).", {
              median: points(time.median),
              q1: points(time.q1),
              q3: points(time.q3),
            }),
          t("{{n}} of {{all}} answers are missing.", { n: view.noAnswer, all: view.asked }),
          test.n < 10 && t("Few students, so these figures are uncertain."),
        ]
          .filter(Boolean)
          .join(" ")}
      </p>
      {view.results && (
        <p className="w-full text-small text-soft">
          {t("In the results the mean is {{mean}}, because {{why}}.", {
            mean: points(view.results.mean),
            why: view.results.why.map((w) => t(WHY[w])).join("; "),
          })}
        </p>
      )}
      {view.undecided > 0 && (
        <p className="w-full text-small text-waiting">
          {t(
            "{{count}} marks are not decided yet and count as 0 here; they could raise the mean by up to {{most}}.",
            {
              count: view.undecided,
              most: points(view.couldAdd),
            },
          )}
        </p>
      )}
    </div>
  );
}

function One({
  name,
  f,
  before = "",
  after = "",
}: {
  name: string;
  f: Schemas["Figure"];
  before?: string;
  after?: string;
}) {
  return (
    <span title={f.missing ?? undefined}>
      {name}{" "}
      <strong>
        {f.value === null ? "–" : before}
        {f.value !== null && figure(f.value)}
      </strong>
      {f.value === null ? <span className="sr-only">{f.missing}</span> : after && ` ${after}`}
    </span>
  );
}
