import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { Button, TextButton } from "../../../parts/Button";
import { MarginPart, Note, Sheet } from "../../../parts/Sheet";
import { Loaded, Trouble } from "../../../parts/States";
import { same } from "../../../parts/same";
import { useSettled } from "../../../parts/useSettled";
import { useGroups } from "../../../places/courses/groups/useGroups";
import { t } from "../../../text";
import { useHeader } from "../../Assessment";
import { DifferentForSome } from "./DifferentForSome";
import { isWhole, type SittingDraft } from "./draft";
import { KeptAs } from "./KeptAs";
import { SittingFields } from "./SittingFields";
import { SlipsToCut } from "./SlipsToCut";
import { ToScale } from "./ToScale";
import { type SittingView, standsOf, useSitting, useSittingChanges, useTimesEffect } from "./useSitting";
import { useSlips } from "./useSlips";
import { useTypedDraft } from "./useTypedDraft";
import { WhoHasIt } from "./WhoHasIt";

/** A sitting that is given out: all about it can be changed, and what that does is told before. */
export function SittingPage() {
  const { assessment = "", sitting = "" } = useParams();
  const query = useSitting(assessment, sitting);
  return <Loaded query={query}>{(view) => <Given key={view.sitting.id} view={view} />}</Loaded>;
}

function Given({ view }: { view: SittingView }) {
  const navigate = useNavigate();
  const header = useHeader(view.assessment, null);
  const section = header.data?.sections.find((s) => s.id === view.sitting.section)?.name ?? "";
  const groups = useGroups(header.data?.course);
  const stands = standsOf(view);
  const { draft, setDraft, forget } = useTypedDraft(`sitting:${view.sitting.id}`, stands);
  const changes = useSittingChanges(view);
  const changed = !same(draft, stands);
  const [sure, setSure] = useState(false);
  const slips = useSlips(view);
  if (slips.make.data) {
    return <SlipsToCut made={slips.make.data} onClose={() => slips.make.reset()} />;
  }
  return (
    <Sheet
      margin={
        <>
          <ToScale draft={draft} different={view.different} />
          <MarginPart title={t("If you save now")}>
            {changed ? (
              <Effect view={view} draft={draft} />
            ) : (
              <p className="text-small text-soft">{t("Nothing is changed.")}</p>
            )}
            <Trouble error={changes.save.error} />
            <div className="flex flex-wrap items-center gap-3">
              <Button
                look="strong"
                disabled={!changed || !isWhole(draft) || changes.save.isPending}
                onClick={() => changes.save.mutate(draft, { onSuccess: forget })}
              >
                {t("Save for {{section}}", { section })}
              </Button>
              {changed && <TextButton onClick={() => setDraft(stands)}>{t("Leave it as it is")}</TextButton>}
            </div>
          </MarginPart>
          <DifferentForSome view={view} groups={groups.data} />
          <KeptAs draft={draft} onChange={setDraft} />
          <MarginPart title={t("Withdraw")}>
            {view.begun ? (
              <p className="text-small text-soft">
                {t("A student has begun, so it cannot be withdrawn. You can close it by its times.")}
              </p>
            ) : sure ? (
              <Note by="waiting">
                <p>{t("Nobody has begun. It disappears from the students’ To do; the key stays.")}</p>
                <Trouble error={changes.withdraw.error} />
                <p className="mt-1 flex gap-3">
                  <Button
                    look="strong"
                    disabled={changes.withdraw.isPending}
                    onClick={() =>
                      changes.withdraw.mutate(undefined, {
                        onSuccess: () => navigate(`/a/${view.assessment}/collect`),
                      })
                    }
                  >
                    {t("Withdraw")}
                  </Button>
                  <TextButton onClick={() => setSure(false)}>{t("Keep it")}</TextButton>
                </p>
              </Note>
            ) : (
              <TextButton onClick={() => setSure(true)}>
                {t("Withdraw it from {{section}}", { section })}
              </TextButton>
            )}
          </MarginPart>
        </>
      }
    >
      <div className="flex flex-wrap items-baseline gap-x-4 border-b border-rule px-5 py-2">
        <h2 className="font-script text-words font-semibold">
          {t("The sitting of {{section}}", { section })}
        </h2>
        <Link to={`/a/${view.assessment}/collect`} className="underline">
          {t("Back to who is at work")}
        </Link>
        <Link to={`/a/${view.assessment}/as-student?sitting=${view.sitting.id}`} className="underline">
          {t("See it as a student")}
        </Link>
      </div>
      <SittingFields
        draft={draft}
        onChange={setDraft}
        who={
          <>
            <p>
              {t("Given to")} <strong>{section}</strong>
            </p>
            <WhoHasIt section={view.section} groups={groups.data} draft={draft} onChange={setDraft} />
          </>
        }
        way={view.sitting.way}
        slips={{
          held: view.slips,
          onMake: () => slips.make.mutate(),
          onEnd: () => slips.end.mutate(),
          isPending: slips.make.isPending || slips.end.isPending,
          error: slips.make.error ?? slips.end.error,
        }}
      />
    </Sheet>
  );
}

/** What other times do to those who are at work. */
function Effect({ view, draft }: { view: SittingView; draft: SittingDraft }) {
  const effect = useTimesEffect(view, useSettled(draft));
  const e = effect.data;
  if (view.working === 0) {
    return <p className="mb-2 text-small">{t("Nobody is at work just now.")}</p>;
  }
  return (
    <>
      <p className="mb-2 text-small">
        {t("{{count}} students are at work. What you change holds for them within a quarter of a minute.", {
          count: view.working,
        })}
      </p>
      {e && (e.longer > 0 || e.shorter > 0) && (
        <Note by="waiting">
          {e.longer > 0 && <p>{t("{{count}} of them have more time.", { count: e.longer })}</p>}
          {e.shorter > 0 && <p>{t("{{count}} of them have less time.", { count: e.shorter })}</p>}
          {e.over > 0 && (
            <p>
              <strong>
                {t("For {{count}} the time would be over at once; what they have is handed in.", {
                  count: e.over,
                })}
              </strong>
            </p>
          )}
        </Note>
      )}
      <Trouble error={effect.error} />
    </>
  );
}
