import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Count, Field } from "../../parts/Field";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { points } from "../../text/figures";
import { useSecondPlan } from "./useSecondPlan";

type Question = Schemas["OpenQuestion"];
type Plan = Schemas["SecondPlan"];

/** What another reader made of the same answer, once the own reading is made; and how far both agree. */
export function SecondReading({
  assessment,
  question,
  answer,
  third,
  onThird,
  mayPlan,
}: {
  assessment: string;
  question: Question;
  answer: Schemas["ReadAnswer"];
  /** Whether what is chosen now decides between two that lie apart. */
  third: boolean;
  onThird: () => void;
  /** Whether they may say what is read twice. */
  mayPlan: boolean;
}) {
  const second = answer.second;
  return (
    <>
      {second && (
        <MarginPart title={t("Second reading")}>
          {second.blind ? (
            <p className="text-small text-soft">
              {t("This answer is read by two. You see the other reading when yours is complete.")}
            </p>
          ) : second.others.length === 0 ? (
            <p className="text-small text-soft">{t("Nobody else has read it yet.")}</p>
          ) : (
            <>
              {second.others.map((o) => (
                <Other key={o.name + o.third} question={question} other={o} />
              ))}
              <p className={`text-small ${second.apart ? "font-semibold text-waiting" : "text-soft"}`}>
                {second.counts}
              </p>
              {second.apart && mayPlan && !third && (
                <p className="mt-1">
                  <Button onClick={onThird}>{t("Decide between both")}</Button>
                </p>
              )}
              {third && (
                <p className="text-small font-semibold">{t("What you choose now decides between both.")}</p>
              )}
            </>
          )}
        </MarginPart>
      )}
      {question.second && <HowFarTheyAgree assessment={assessment} question={question} />}
      {mayPlan && <ReadTwice key={question.item} assessment={assessment} question={question} />}
    </>
  );
}

function Other({ question, other }: { question: Question; other: Schemas["OtherReading"] }) {
  return (
    <Note by="person">
      <strong>{other.name}</strong>
      <ul className="text-small">
        {question.criteria.map((c) => (
          <li key={c.id}>
            {c.title}: {c.levels.find((l) => l.id === other.levels[c.id])?.text ?? t("no level")}
          </li>
        ))}
        {other.points && (
          <li>
            {t("{{points}} of {{of}} points", { points: points(other.points), of: points(question.points) })}
          </li>
        )}
      </ul>
      {other.comment && <p className="font-script">{other.comment}</p>}
    </Note>
  );
}

/** Live: it is asked for again with each answer that one has read, not with each press. */
function HowFarTheyAgree({ assessment, question }: { assessment: string; question: Question }) {
  const { item, mine } = question;
  const agree = useQuery({
    queryKey: ["agreement", assessment, item, mine],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/readings/{item}/agreement", {
          params: { path: { assessment, item } },
        }),
      ),
    placeholderData: (before) => before,
  });
  const found = (agree.data ?? []).filter((a) => a.n > 0);
  if (found.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("How far readers agree")}>
      <table className="w-full text-small">
        <thead>
          <tr className="text-left text-soft">
            <th scope="col" className="font-normal">
              {t("criterion")}
            </th>
            <th scope="col" className="font-normal">
              {t("same")}
            </th>
            <th scope="col" className="pr-2 font-normal">
              {t("one beside")}
            </th>
            <th scope="col" className="font-normal">
              κ
            </th>
          </tr>
        </thead>
        <tbody>
          {found.map((a) => (
            <tr key={a.first + a.second + a.criterion} className="border-t border-rule align-baseline">
              <th scope="row" className="text-left font-normal">
                {a.criterion}
                <span className="block text-soft">
                  {a.first}, {a.second}
                  {a.stricter &&
                    ` · ${t("{{who}} gives {{by}} points less", { who: a.stricter, by: points(a.by) })}`}
                </span>
              </th>
              <td className="pr-2 whitespace-nowrap">{t("{{n}} of {{all}}", { n: a.same, all: a.n })}</td>
              <td>{a.near - a.same}</td>
              <td>{a.kappa ?? "–"}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </MarginPart>
  );
}

const NONE: Plan = { share: 0, way: "MEAN", apart: null };

/** What of a question is read twice, and what counts then. */
function ReadTwice({ assessment, question }: { assessment: string; question: Question }) {
  const before = question.second ?? NONE;
  const [plan, setPlan] = useState<Plan>(before);
  const save = useSecondPlan(assessment, question.item);
  const changed =
    plan.share !== before.share || plan.way !== before.way || (plan.apart ?? "") !== (before.apart ?? "");
  return (
    <details className="mb-4">
      <summary className="cursor-pointer text-small font-semibold text-soft">
        {before.share === 0
          ? t("Read by one")
          : t("{{count}} of 100 answers are read by two", { count: before.share })}
      </summary>
      <div className="mt-2 grid gap-2">
        <Count
          label={t("Of 100 answers read by two")}
          value={plan.share}
          onChange={(n) => setPlan({ ...plan, share: Math.min(100, n ?? 0) })}
          className="w-32"
        />
        <Choose
          label={t("What counts")}
          value={plan.way}
          options={[
            ["MEAN", t("the mean of both")],
            ["HIGHER", t("the higher one")],
            ["FIRST", t("the first one")],
            ["THIRD", t("the mean, a third reading where they lie apart")],
          ]}
          onChange={(way) => setPlan({ ...plan, way: way as Plan["way"] })}
        />
        {plan.way === "THIRD" && (
          <Field
            label={t("Points by which two may differ")}
            value={plan.apart ?? ""}
            inputMode="decimal"
            onChange={(e) => setPlan({ ...plan, apart: e.target.value })}
            className="w-40"
          />
        )}
        <p className="text-small text-soft">
          {t(
            "Whoever reads this course reads without seeing the other’s choice. What was read by one before counts until it is read again.",
          )}
        </p>
        <Trouble error={save.error} />
        <p>
          {changed ? (
            <Button disabled={save.isPending} onClick={() => save.mutate(plan)}>
              {t("Save for this question")}
            </Button>
          ) : (
            plan.share > 0 && (
              <TextButton onClick={() => save.mutate({ ...plan, share: 0 })}>
                {t("Read by one again")}
              </TextButton>
            )
          )}
        </p>
      </div>
    </details>
  );
}
