import { useState } from "react";
import { Link } from "react-router";
import { Button, TextButton } from "../../../parts/Button";
import { Effect } from "../../../parts/Effect";
import { MarginPart } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { Work } from "../../../parts/Work";
import { t } from "../../../text";
import { moment, points } from "../../../text/figures";
import { byWhom } from "../../settle/DecidedRows";
import { type Lesson, type OneDecision, useDecisions, useTakingBack } from "./useDecisions";

/** What was decided about this question since it was given out; each can be taken back alone. */
export function Decisions({ assessment, item }: { assessment: string; item: string }) {
  const { all, error } = useDecisions(assessment, item);
  const [chosen, setChosen] = useState<string>();
  const decision = all.find((d) => d.id === chosen);
  const { preview, takeBack, undo, done, forget } = useTakingBack(assessment, item, decision);
  if (all.length === 0 && !done && !error) {
    return null;
  }
  const take = () => takeBack.mutate(undefined, { onSuccess: () => setChosen(undefined) });
  return (
    <MarginPart title={t("Decided since it was given out")}>
      <Trouble error={error} />
      <ul>
        {all.map((d) => (
          <li key={d.id} className="border-b border-rule py-1">
            <OneRow decision={d} />
            {d.id === chosen ? (
              <div className="pt-1 pb-2">
                <Trouble error={preview.error ?? takeBack.error} />
                {preview.data && <Effect effect={preview.data} by="waiting" />}
                <p className="flex flex-wrap gap-2">
                  <Button
                    look="strong"
                    disabled={!preview.data || preview.isFetching || takeBack.isPending}
                    onClick={take}
                  >
                    {t("Take this decision back")}
                  </Button>
                  <Button look="quiet" onClick={() => setChosen(undefined)}>
                    {t("Keep it")}
                  </Button>
                </p>
              </div>
            ) : (
              <TextButton
                className="min-h-6 text-small"
                aria-label={t("Take back: {{text}}", { text: shownOf(d) })}
                onClick={() => {
                  forget();
                  setChosen(d.id);
                }}
              >
                {t("Take back…")}
              </TextButton>
            )}
          </li>
        ))}
      </ul>
      <div role="status" className="mt-1 text-small">
        {done && (
          <p>
            {t("Taken back. The other decisions stay.")}{" "}
            {done.edition !== null && (
              <TextButton
                className="min-h-6"
                aria-label={t("Undo taking it back")}
                disabled={undo.isPending}
                onClick={() => done.edition !== null && undo.mutate(done.edition)}
              >
                {t("Undo")}
              </TextButton>
            )}
          </p>
        )}
      </div>
      <Trouble error={undo.error} />
      {done?.job && <Work id={done.job} />}
      <p className="mt-1 text-small">
        <Link to={`/a/${assessment}/settle`} className="underline">
          {t("Decide differently in Settle")}
        </Link>
      </p>
    </MarginPart>
  );
}

function OneRow({ decision }: { decision: OneDecision }) {
  const { lesson, group } = decision;
  const credit = lesson ? lesson.credit : group?.credit;
  return (
    <>
      <span className="font-script">{shownOf(decision)}</span>{" "}
      {credit && (
        <strong className="text-by-person">{t("{{credit}} credit", { credit: points(credit) })}</strong>
      )}
      <span className="block text-small text-soft">
        {group ? `${group.count}× · ` : ""}
        {lesson ? `${lesson.who} · ${moment(lesson.at)}` : group && byWhom(group)}
      </span>
      {lesson?.note && <q className="block text-small">{lesson.note}</q>}
    </>
  );
}

const SLIPS: Record<string, string> = {
  none: "No typing slips are forgiven",
  one: "One typing slip is forgiven",
  two: "Two typing slips are forgiven",
  length: "Typing slips are forgiven by the length of the word",
};

function shownOf({ lesson, group }: OneDecision): string {
  return lesson ? taught(lesson, group?.shown ?? lesson.shown) : (group?.shown ?? "");
}

function taught(lesson: Lesson, shown: string): string {
  switch (lesson.what) {
    case "WORDS":
      return t("any answer with “{{text}}” in it", { text: lesson.shown });
    case "PATTERN":
      return t("any answer of the pattern “{{text}}”", { text: lesson.shown });
    case "SLIPS":
      return t(SLIPS[lesson.shown] ?? lesson.shown);
    default:
      return shown;
  }
}
