import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { Sheet } from "../../../parts/Sheet";
import { Empty, Loaded } from "../../../parts/States";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { sectionQuery, useHeader } from "../../Assessment";
import { withAnswer, withQuestion } from "../pile";
import { QuestionHead } from "../QuestionHead";
import { Questions, Ways } from "../Ways";

type How = Schemas["HowReadView"];
type Question = Schemas["OpenQuestion"];

/** The levels that were chosen, by reader and section, one's own drift, and the answers that another look may be given. */
export function HowItWasRead({
  assessment,
  section,
  view,
  names,
}: {
  assessment: string;
  section: string | null;
  view: Schemas["ReadView"];
  names: boolean;
}) {
  const [params, setParams] = useSearchParams();
  const question = view.questions.find((q) => q.item === view.item) as Question;
  const sections = useSections(assessment);
  const query = useQuery({
    queryKey: ["readings", assessment, "how", question.item, section, names],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/readings/{item}/how", {
          params: {
            path: { assessment, item: question.item },
            query: { names, ...sectionQuery(section) },
          },
        }),
      ),
  });
  return (
    <Sheet margin={null}>
      <QuestionHead question={question} />
      <Ways />
      {view.questions.length > 1 && (
        <Questions
          questions={view.questions}
          item={question.item}
          onQuestion={(item) => setParams(withQuestion(params, item))}
        />
      )}
      <Loaded query={query}>
        {(how) =>
          how.read === 0 ? (
            <Empty title={t("Nothing is read yet.")}>
              {t("Once you have read some answers, the levels you chose stand here.")}
            </Empty>
          ) : (
            <div className="px-6 py-4">
              <p className="mb-3" role="status">
                {how.read === how.answers
                  ? t("All {{count}} answers are read.", { count: how.answers })
                  : t("{{n}} of {{all}} answers are read.", { n: how.read, all: how.answers })}
              </p>
              <Levels how={how} question={question} sections={sections} />
              {how.columns.reduce((n, c) => n + (c.of === "READER" ? c.n : 0), 0) > how.read && (
                <p className="mt-2 text-small text-soft">
                  {t("Where two have read an answer, the levels of both are counted.")}
                </p>
              )}
              <Drifted how={how} question={question} />
              <Otherwise how={how} question={question} />
            </div>
          )
        }
      </Loaded>
    </Sheet>
  );
}

/** The names of the sections, by their ids. */
function useSections(assessment: string): Map<string, string> {
  const header = useHeader(assessment, null).data;
  return new Map((header?.sections ?? []).map((s) => [s.id, s.name]));
}

function Levels({
  how,
  question,
  sections,
}: {
  how: How;
  question: Question;
  sections: Map<string, string>;
}) {
  const title = (c: Schemas["ReadColumn"]) =>
    c.of === "ALL" ? t("all") : (c.name ?? sections.get(c.section ?? "") ?? t("a section"));
  return (
    <div className="overflow-x-auto">
      <table className="text-small">
        <caption className="sr-only">{t("How often each level was chosen")}</caption>
        <thead>
          <tr className="border-b border-rule-strong text-left text-soft">
            <th scope="col" className="py-1 pr-6">
              {t("level")}
            </th>
            {how.columns.map((c) => (
              <th key={c.of + c.name + c.section} scope="col" className="px-3 py-1 text-right">
                {title(c)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {question.criteria.map((criterion, i) =>
            criterion.levels.map((level, j) => (
              <tr key={criterion.id + level.id} className={j === 0 ? "border-t border-rule" : ""}>
                <th scope="row" className="py-0.5 pr-6 text-left font-normal">
                  {j === 0 && <strong className="block">{criterion.title}</strong>}
                  {j} {level.text || points(level.points)}
                </th>
                {how.columns.map((c) => (
                  <td key={c.of + c.name + c.section} className="px-3 text-right align-bottom tabular-nums">
                    {c.levels[i]?.[j] || "–"}
                  </td>
                ))}
              </tr>
            )),
          )}
          <tr className="border-t border-rule-strong">
            <th scope="row" className="py-1 pr-6 text-left font-normal">
              {t("points on average, of {{of}}", { of: points(question.points) })}
            </th>
            {how.columns.map((c) => (
              <td key={c.of + c.name + c.section} className="px-3 text-right font-semibold tabular-nums">
                {points(c.mean)}
              </td>
            ))}
          </tr>
          <tr>
            <th scope="row" className="pr-6 text-left font-normal text-soft">
              {t("answers read")}
            </th>
            {how.columns.map((c) => (
              <td key={c.of + c.name + c.section} className="px-3 text-right text-soft tabular-nums">
                {c.n}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}

function Drifted({ how, question }: { how: How; question: Question }) {
  if (!how.drift) {
    return null;
  }
  return (
    <p className="mt-4">
      {t(
        "You gave the first {{count}} answers {{first}} of {{of}} on average, and the last {{count}} {{last}}.",
        {
          count: how.drift.each,
          first: points(how.drift.first),
          last: points(how.drift.last),
          of: points(question.points),
        },
      )}
    </p>
  );
}

function Otherwise({ how, question }: { how: How; question: Question }) {
  const [params] = useSearchParams();
  return (
    <section className="mt-5" aria-label={t("Another look")}>
      <h3 className="font-semibold">{t("Another look")}</h3>
      {how.otherwise.length === 0 ? (
        <p className="text-soft">{t("No answer was read much otherwise than those with the same words.")}</p>
      ) : (
        <>
          <p className="text-small text-soft">
            {t("These were given other points than answers with much the same words.")}
          </p>
          <ol>
            {how.otherwise.map((one) => (
              <li
                key={one.place}
                className="grid gap-x-6 border-b border-rule py-2 @container lg:grid-cols-[1fr_1fr_auto]"
              >
                <div>
                  <p className="text-small">
                    <strong>{one.name ?? t("answer {{n}}", { n: one.place + 1 })}</strong>{" "}
                    {t("{{got}} of {{of}}", { got: points(one.points), of: points(question.points) })}
                  </p>
                  <p className="font-script whitespace-pre-wrap">{one.text}</p>
                </div>
                <div>
                  <p className="text-small text-soft">
                    {t("those like it: {{got}} of {{of}} on average", {
                      got: points(one.theirs),
                      of: points(question.points),
                    })}
                  </p>
                  <p className="font-script whitespace-pre-wrap text-soft">{one.like}</p>
                </div>
                <Link
                  className="min-h-6 underline"
                  to={{ search: withAnswer(params, question.item, one.place).toString() }}
                >
                  {t("Read it again")}
                </Link>
              </li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}
