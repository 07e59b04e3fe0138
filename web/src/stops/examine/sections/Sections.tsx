import { useQuery } from "@tanstack/react-query";
import { useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { IntervalBar } from "../../../parts/IntervalBar";
import { useKeys } from "../../../parts/Keys";
import { MarginPart, Note, Sheet } from "../../../parts/Sheet";
import { Empty, Loaded } from "../../../parts/States";
import { TableOut } from "../../../parts/table/TableOut";
import { t } from "../../../text";
import { between, figure, points } from "../../../text/figures";
import { useWhere } from "../../Assessment";
import { ExamineViews } from "../ExamineViews";
import { SectionQuestions } from "./SectionQuestions";

type View = Schemas["SectionsView"];

/** The sections side by side: in their totals, and question by question at equal ability. */
export function Sections() {
  const { assessment } = useWhere();
  const query = useQuery({
    queryKey: ["assessment", assessment, "examine", "sections"],
    queryFn: () =>
      ok(api.GET("/api/assessments/{assessment}/examine/sections", { params: { path: { assessment } } })),
  });
  return (
    <Loaded query={query}>
      {(view) =>
        view.sections.length < 2 ? (
          <Sheet margin={null}>
            <ExamineViews />
            <Empty title={t("There is only one section to look at.")}>
              {t("Give the assessment to another section, and both appear here side by side.")}
            </Empty>
          </Sheet>
        ) : (
          <Page view={view} />
        )
      }
    </Loaded>
  );
}

function Page({ view }: { view: View }) {
  const [params, setParams] = useSearchParams();
  const questions = view.questions;
  const chosen =
    questions.find((q) => q.item === params.get("item")) ?? questions.find(isFlagged) ?? questions[0];
  const choose = (item: string | undefined) => {
    const next = new URLSearchParams(params);
    item && next.set("item", item);
    setParams(next, { replace: true });
  };
  const step = (by: number) => chosen && choose(questions[questions.indexOf(chosen) + by]?.item);
  useKeys([
    ["j", t("next question"), () => step(1)],
    ["k", t("previous question"), () => step(-1)],
  ]);
  const out = () => [
    [t("No."), t("Question"), ...view.sections.flatMap((s) => [s.section, `${s.section} n`])],
    ...questions.map((q) => [
      String(q.number),
      q.prompt,
      ...q.inSections.flatMap((s) => [figure(s.mean.value), String(s.n)]),
    ]),
  ];
  return (
    <Sheet margin={chosen && <AtEqualAbility question={chosen} />}>
      <ExamineViews>
        <TableOut name={t("sections compared")} rows={out} />
      </ExamineViews>
      <Totals view={view} />
      <SectionQuestions view={view} chosen={chosen?.item} onChoose={choose} />
    </Sheet>
  );
}

export const isFlagged = (q: Schemas["QuestionInSections"]) => q.flags.some((f) => f !== "");

/** The mean of each section on one scale, with the interval in which it lies. */
function Totals({ view }: { view: View }) {
  const most = Number(view.possible) || Math.max(...view.sections.map((s) => s.range.high.value ?? 0), 1);
  return (
    <section aria-label={t("Totals of the sections")} className="border-b border-rule px-5 py-3">
      <table className="w-full">
        <thead>
          <tr className="text-left text-small text-soft">
            <th scope="col" className="font-normal">
              {t("Section")}
            </th>
            <th scope="col" className="w-20 text-right font-normal">
              {t("students")}
            </th>
            <th scope="col" className="w-24 text-right font-normal">
              {t("mean")}
            </th>
            <th scope="col" className="w-28 text-right font-normal">
              {t("standard deviation")}
            </th>
            <th scope="col" className="w-80 pl-6 font-normal">
              {t("of {{of}} points, with its 95% interval", { of: points(view.possible) })}
            </th>
          </tr>
        </thead>
        <tbody>
          {view.sections.map((s) => (
            <tr key={s.section} className="border-t border-rule">
              <th scope="row" className="py-1 text-left">
                {s.section}
              </th>
              <td className="text-right">{s.n}</td>
              <td className="text-right font-semibold">{figure(s.mean.value)}</td>
              <td className="text-right" title={s.sd.missing ?? undefined}>
                {figure(s.sd.value)}
              </td>
              <td className="pl-6">
                <IntervalBar
                  of="mean"
                  place={(s.mean.value ?? 0) / most}
                  low={(s.range.low.value ?? 0) / most}
                  high={(s.range.high.value ?? 0) / most}
                  says={between(s.range.low.value, s.range.high.value)}
                  className="w-72"
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {view.differences.map((d) => (
        <p key={d.second} className="mt-2 text-small">
          {d.difference.value === null
            ? t("{{first}} and {{second}}: {{why}}.", {
                first: d.first,
                second: d.second,
                why: d.difference.missing,
              })
            : t(
                "{{first}} less {{second}}: {{difference}} points, between {{low}} and {{high}} (95%); {{g}} standard deviations.",
                {
                  first: d.first,
                  second: d.second,
                  difference: figure(d.difference.value),
                  low: figure(d.low.value),
                  high: figure(d.high.value),
                  g: figure(d.g.value),
                },
              )}
        </p>
      ))}
    </section>
  );
}

/** How the chosen question works for students of equal ability in two sections. */
function AtEqualAbility({ question }: { question: Schemas["QuestionInSections"] }) {
  return (
    <MarginPart title={t("Question {{n}}", { n: question.number })}>
      <p className="mb-2 font-script">{question.prompt}</p>
      {question.differences.map((d, i) => (
        <Note key={d.second} by={question.flags[i] ? "waiting" : "plain"}>
          <strong className={question.flags[i] ? "text-waiting" : ""}>
            {words(d, question.flags[i] ?? "")}
          </strong>
          <p className="text-small text-soft">
            {d.delta.value === null
              ? (d.delta.missing ?? d.odds.missing)
              : t("Odds ratio {{odds}}, delta {{delta}}, χ² {{chi2}}, p = {{p}} (Mantel-Haenszel).", {
                  odds: figure(d.odds.value),
                  delta: figure(d.delta.value),
                  chi2: figure(d.chi2.value),
                  p: figure(d.p.value, 3),
                })}
          </p>
        </Note>
      ))}
      <p className="text-small text-soft">
        {t(
          "Students who solved equally many questions are compared with each other, so that a stronger section is no difference here. A delta of 1.5 or more that chance does not explain is a large difference, from 1.0 on a moderate one.",
        )}
      </p>
    </MarginPart>
  );
}

function words(d: Schemas["ItemDifference"], flag: string): string {
  const favoured = (d.odds.value ?? 1) > 1 ? d.first : d.second;
  switch (flag) {
    case "large":
      return t("{{section}} does much better here, at equal ability.", { section: favoured });
    case "moderate":
      return t("{{section}} does somewhat better here, at equal ability.", { section: favoured });
    default:
      return t("No clear difference between {{first}} and {{second}} at equal ability.", {
        first: d.first,
        second: d.second,
      });
  }
}
