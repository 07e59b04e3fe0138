import { useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { useKeys } from "../../parts/Keys";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { figure, percent, points } from "../../text/figures";
import { sectionQuery, useWhere } from "../Assessment";

type View = Schemas["ExamineView"];
type ItemLine = Schemas["ItemLine"];
const FEW = 10;

/** The figures of the paper and of each item; the chosen item stands in the margin. */
export function Examine() {
  const { assessment, section } = useWhere();
  const query = useQuery({
    queryKey: ["assessment", assessment, "examine", section],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/examine", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
  return (
    <Loaded query={query}>
      {(view) =>
        view.test.n === 0 ? (
          <Sheet margin={null}>
            <Empty title={t("Nothing to examine yet.")}>
              {t("Figures appear here as soon as students hand in.")}
            </Empty>
          </Sheet>
        ) : (
          <Figures assessment={assessment} view={view} />
        )
      }
    </Loaded>
  );
}

function Figures({ assessment, view }: { assessment: string; view: View }) {
  const [params, setParams] = useSearchParams();
  const chosen =
    view.items.find((i) => i.item === params.get("item")) ??
    view.items.find((i) => i.flags.length > 0) ??
    view.items[0];
  const choose = (item: string | undefined) => {
    const next = new URLSearchParams(params);
    item && next.set("item", item);
    setParams(next, { replace: true });
  };
  const step = (by: number) => choose(view.items[view.items.indexOf(chosen as ItemLine) + by]?.item);
  useKeys([
    ["j", t("next question"), () => step(1)],
    ["k", t("previous question"), () => step(-1)],
    ["ArrowDown", "", () => step(1)],
    ["ArrowUp", "", () => step(-1)],
  ]);
  return (
    <Sheet margin={<ExamineMargin assessment={assessment} view={view} item={chosen} />}>
      <TestFigures view={view} />
      <table className="w-full">
        <thead>
          <tr className="border-b border-rule text-left text-small text-soft">
            <th scope="col" className="w-12 py-2 pl-5 font-normal">
              {t("No")}
            </th>
            <th scope="col" className="font-normal">
              {t("Question")}
            </th>
            <th scope="col" className="w-56 font-normal">
              {t("Mean score (0 to 1)")}
            </th>
            <th scope="col" className="w-16 text-right font-normal">
              {t("r with the rest")}
            </th>
            <th scope="col" className="w-16 text-right font-normal">
              {t("no answer")}
            </th>
            <th scope="col" className="w-44 pl-6 font-normal">
              {t("Flags")}
            </th>
          </tr>
        </thead>
        <tbody>
          {view.items.map((item) => (
            <ItemRow key={item.item} item={item} here={item === chosen} onChoose={() => choose(item.item)} />
          ))}
        </tbody>
      </table>
      <Below view={view} />
    </Sheet>
  );
}

const WHY: Record<Schemas["ResultsMean"]["why"][number], string> = {
  ADJUSTED: "questions were credited to all or count as a bonus",
  PARTLY_DECIDED: "some marks are not decided in full yet and count with what is decided",
  BEST_COUNT: "only the best questions of a part count",
  EXCUSED: "some students were excused from a question",
  LATE: "lateness takes points off",
  NOT_BELOW_ZERO: "scores below 0 count as 0",
};

function TestFigures({ view }: { view: View }) {
  const { test } = view;
  return (
    <div className="flex flex-wrap items-baseline gap-x-7 gap-y-1 border-b border-rule px-5 py-3">
      <span>{t("{{count}} students", { count: test.n })}</span>
      <One name={t("mean")} f={test.mean} after={t("of {{of}}", { of: points(view.possible) })} />
      <One name={t("standard deviation")} f={test.sd} />
      <One name={t("reliability (α)")} f={test.alpha} />
      <One name={t("standard error of a score")} f={test.sem} before="± " />
      {view.results && (
        <span className="text-small text-soft">
          {t("In the results the mean is {{mean}}, because {{why}}.", {
            mean: points(view.results.mean),
            why: view.results.why.map((w) => t(WHY[w])).join("; "),
          })}
        </span>
      )}
      {view.undecided > 0 && (
        <span className="text-small text-waiting">
          {t("{{count}} marks are not decided yet and count as 0 here", { count: view.undecided })}
        </span>
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

function ItemRow({ item, here, onChoose }: { item: ItemLine; here: boolean; onChoose: () => void }) {
  const flagged = item.flags.length > 0;
  const p = item.measures.difficulty.value;
  return (
    <tr className={`border-b border-rule ${here ? "bg-waiting-wash" : ""}`}>
      <td
        className={`border-l-4 py-1.5 pl-4 font-semibold ${here ? "border-waiting" : "border-transparent"}`}
      >
        {item.number}
      </td>
      <td className="pr-4">
        <button
          type="button"
          aria-pressed={here}
          onClick={onChoose}
          className="block w-full text-left font-script leading-snug"
        >
          {item.prompt}
        </button>
      </td>
      <td>
        {p === null ? (
          <span className="text-soft">{t("dropped")}</span>
        ) : (
          <span className="flex items-center gap-3">
            <span aria-hidden="true" className="relative h-3 w-36">
              <span className="absolute inset-x-0 top-1.5 border-t-2 border-rule" />
              <span
                className="absolute top-0.5 size-2.5 rounded-full bg-ink"
                style={{ left: `calc(${p * 100}% - 5px)` }}
              />
            </span>
            {figure(p)}
          </span>
        )}
      </td>
      <td
        className={`text-right ${flagged ? "font-semibold text-waiting" : ""}`}
        title={item.measures.itemRest.missing ?? undefined}
      >
        {figure(item.measures.itemRest.value)}
      </td>
      <td className="text-right">
        {item.measures.blank.value === null ? "–" : `${Math.round(item.measures.blank.value * 100)} %`}
      </td>
      <td className="pr-3 pl-6 text-small font-semibold text-waiting">
        {item.flags.map((f) => f.words).join(", ")}
      </td>
    </tr>
  );
}

function Below({ view }: { view: View }) {
  if (view.pass === null) {
    return null;
  }
  return (
    <section className="px-5 py-4 text-small" aria-label={t("Below the pass mark")}>
      <span className="text-soft">{t("Below {{pass}}%:", { pass: points(view.pass) })} </span>
      {view.belowPass === 0 && t("nobody")}
      {view.below.slice(0, FEW).map((b, i) => (
        <span key={b.attempt}>
          {i > 0 && " · "}
          <strong>{b.name}</strong> {b.percent}
          {b.provisional && "…"}
        </span>
      ))}
      {view.below.length > FEW && (
        <details className="inline">
          <summary className="ml-1 inline cursor-pointer underline">
            {t("and {{n}} more", { n: view.belowPass - FEW })}
          </summary>
          <span>
            {view.below.slice(FEW).map((b) => (
              <span key={b.attempt}>
                {" · "}
                <strong>{b.name}</strong> {b.percent}
                {b.provisional && "…"}
              </span>
            ))}
            {view.belowPass > view.below.length && " …"}
          </span>
        </details>
      )}
    </section>
  );
}

/** How each option was chosen, by the best, the middle and the weakest third. */
function OptionTable({ item }: { item: ItemLine }) {
  const { options } = item.measures;
  if (options.length === 0) {
    return null;
  }
  const share = (f: Schemas["Figure"]) => (f.value === null ? "–" : `${Math.round(f.value * 100)} %`);
  return (
    <table className="my-2 w-full text-small">
      <thead>
        <tr className="border-b border-rule text-left text-soft">
          <th scope="col" className="py-1 font-normal">
            {t("option")}
          </th>
          <th scope="col" className="w-12 text-right font-normal">
            {t("all")}
          </th>
          <th scope="col" className="w-14 text-right font-normal">
            {t("upper third")}
          </th>
          <th scope="col" className="w-14 text-right font-normal">
            {t("lower third")}
          </th>
        </tr>
      </thead>
      <tbody>
        {options.map((o, i) => (
          <tr key={o.option} className="border-b border-rule align-top">
            <th scope="row" className={`py-1 pr-2 text-left ${o.keyed ? "font-semibold" : "font-normal"}`}>
              <span className="font-script">{item.optionTexts[i]}</span>
              {o.keyed && <span className="text-soft"> {t("right")}</span>}
            </th>
            <td className="py-1 text-right" title={t("{{count}} students", { count: o.count })}>
              {share(o.share)}
            </td>
            <td className="py-1 text-right">{share(o.upper)}</td>
            <td className="py-1 text-right">{share(o.lower)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const WHAT_IT_MEANS: Record<string, string> = {
  negative:
    "Students who do well on the rest do worse here. The key may be wrong, or the question may mislead.",
  weak: "It says little about who knows more. Check that it asks about the same things as the other questions.",
  easy: "Nearly everyone has it right. Fine as a warm-up, but it does not tell students apart.",
  hard: "Few have it right. Was it taught, and is the question clear?",
  key: "Look at the key first: is another answer right, or right as well?",
  unused: "An option that hardly anyone chooses adds nothing. A more likely wrong answer would ask more.",
  unreached: "Many stop before it. The time may be short, or the paper long.",
  differs:
    "At equal overall scores, one section does better here. Was it taught differently, or does the wording help one section?",
  blank: "Many leave it blank. Is it clear what is asked, and is there time?",
};

function ExamineMargin({
  assessment,
  view,
  item,
}: {
  assessment: string;
  view: View;
  item: ItemLine | undefined;
}) {
  const most = Math.max(1, ...view.tenths);
  return (
    <>
      {item && (
        <MarginPart title={t("Question {{n}}", { n: item.number })}>
          {item.flags.length === 0 && <Note>{t("Nothing stands out.")}</Note>}
          {item.flags.map((f) => (
            <Note key={f.flag} by="waiting">
              <strong className="text-waiting">{f.words}</strong>
              <br />
              <span className="text-small">{f.because}</span>
              <br />
              {t(WHAT_IT_MEANS[f.flag] ?? "")}
            </Note>
          ))}
          <OptionTable item={item} />
          <p className="text-small text-soft">
            {t("mean score")} {figure(item.measures.difficulty.value)} ·{" "}
            {t("correlation with the other questions")} {figure(item.measures.itemRest.value)}
            {item.measures.itemRest.missing && ` (${item.measures.itemRest.missing})`} ·{" "}
            {t("upper 27% minus lower 27%")} {figure(item.measures.upperLower.value)} ·{" "}
            {t("reliability without this question")} {figure(item.measures.alphaWithout.value)}
            {view.test.n < 10 && ` · ${t("few students, so these figures are uncertain")}`}
          </p>
          <Link to={`/a/${assessment}/key?item=${item.item}`} className="mt-2 inline-block underline">
            {t("Go to its key")}
          </Link>
        </MarginPart>
      )}
      <MarginPart title={t("Distribution of scores (%)")}>
        <table className="w-full text-small">
          <thead className="sr-only">
            <tr>
              <th scope="col">{t("percent")}</th>
              <th scope="col">{t("students")}</th>
            </tr>
          </thead>
          <tbody>
            {view.tenths
              .map((n, i) => ({ n, from: i * 10 }))
              .reverse()
              .map(({ n, from }) => (
                <tr key={from}>
                  <th
                    scope="row"
                    className="w-16 text-left font-normal text-soft"
                  >{`${from} – ${from + 10}`}</th>
                  <td>
                    <span
                      aria-hidden="true"
                      className="mr-2 inline-block h-3 bg-ink align-middle"
                      style={{ width: `${(n / most) * 70}%` }}
                    />
                    {n > 0 && n}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </MarginPart>
      <MarginPart title={t("Scores in points")}>
        <p className="text-small">
          {t("lowest")} {figure(view.test.min.value, 1)} · {t("lower quartile")}{" "}
          {figure(view.test.q1.value, 1)} · {t("median")} {figure(view.test.median.value, 1)} ·{" "}
          {t("upper quartile")} {figure(view.test.q3.value, 1)} · {t("highest")}{" "}
          {figure(view.test.max.value, 1)}
        </p>
        {view.pass && (
          <p className="mt-1 text-small text-soft">
            {t("pass mark")} {percent(view.pass)}
          </p>
        )}
      </MarginPart>
    </>
  );
}
