import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, ok, Problem } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Effect } from "../../parts/Effect";
import { Field } from "../../parts/Field";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { useSettled } from "../../parts/useSettled";
import { Work } from "../../parts/Work";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { Differences, type Fair, Fairness } from "./Fairness";
import { counting } from "./HowItCounts";
import type { useDraft } from "./useDraft";

/** After giving out: what a change would do to everyone who has answered, and the editions so far. */
export function IfYouSave({ assessment, draft }: { assessment: string; draft: ReturnType<typeof useDraft> }) {
  const client = useQueryClient();
  const [why, setWhy] = useState("");
  const path = { params: { path: { assessment } } };
  const [decided, setDecided] = useState<Record<string, Fair>>({});
  const changed = draft.state !== "saved";
  const asked = useSettled(draft.definition);
  const preview = useQuery({
    queryKey: ["edition-preview", assessment, draft.edition, asked],
    queryFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/editions/preview", {
          ...path,
          body: { definition: asked, why: "", edition: draft.edition },
        }),
      ),
    retry: false,
    enabled: changed,
    placeholderData: keepPreviousData,
  });
  // What is confirmed is what was seen: the effect has to be that of the key as it stands.
  const seen = asked === draft.definition && preview.data && !preview.isPlaceholderData && !preview.error;
  const open = preview.data?.asked.filter((a) => !decided[a.item]).length ?? 0;
  const done = () => {
    void client.invalidateQueries({ queryKey: ["assessment", assessment] });
    return client.invalidateQueries({ queryKey: ["key", assessment] });
  };
  const make = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/editions", {
          ...path,
          body: { definition: draft.definition, why, edition: draft.edition },
        }),
      ),
    onSuccess: done,
  });
  const work = make.data?.job ?? null;
  // A colleague's edition in between: both changes are brought together, and the effect is shown again.
  const overtaken = isOvertaken(preview.error) || isOvertaken(make.error);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each conflict
  useEffect(() => {
    if (overtaken) {
      void draft.takeTheirs();
      make.reset();
    }
  }, [overtaken]);
  return (
    <>
      {changed && (
        <MarginPart title={t("If you save now")}>
          {preview.error ? (
            <Trouble error={preview.error} />
          ) : (
            preview.data && (
              <>
                <Differences all={preview.data.differences} />
                <Fairness
                  asked={preview.data.asked}
                  decided={decided}
                  onDecided={(item, what) => {
                    setDecided({ ...decided, [item]: what });
                    draft.change((d) => counting(d, item, what === "same" ? "" : what));
                  }}
                />
                <Effect effect={preview.data} by="waiting" />
              </>
            )
          )}
          <Field
            label={t("Reason for the change (kept in the history)")}
            value={why}
            placeholder={t("the key was changed")}
            onChange={(e) => setWhy(e.target.value)}
            className="mb-3"
          />
          <div className="flex gap-2">
            <Button
              look="strong"
              disabled={make.isPending || !seen || open > 0}
              onClick={() => make.mutate()}
            >
              {t("Make edition {{n}}", { n: draft.edition + 1 })}
            </Button>
            <Button look="quiet" onClick={draft.discard}>
              {t("Discard changes")}
            </Button>
          </div>
          <Trouble error={make.error} />
        </MarginPart>
      )}
      {work && <Work key={work} id={work} />}
      <Editions assessment={assessment} edition={draft.edition} onUndone={() => void done()} />
    </>
  );
}

const isOvertaken = (error: unknown) => error instanceof Problem && error.code === "changed-meanwhile";

function Editions({
  assessment,
  edition,
  onUndone,
}: {
  assessment: string;
  edition: number;
  onUndone: () => void;
}) {
  const [asking, setAsking] = useState(false);
  const path = { params: { path: { assessment } } };
  const history = useQuery({
    queryKey: ["assessment", assessment, "editions"],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/editions", path)),
  });
  const preview = useQuery({
    queryKey: ["assessment", assessment, "undo-preview", edition],
    queryFn: () =>
      ok(api.POST("/api/assessments/{assessment}/editions/undo/preview", { ...path, body: { edition } })),
    enabled: asking,
  });
  const undo = useMutation({
    mutationFn: () =>
      ok(api.POST("/api/assessments/{assessment}/editions/undo", { ...path, body: { edition } })),
    onSuccess: () => {
      setAsking(false);
      onUndone();
    },
  });
  const work = undo.data?.job ?? null;
  return (
    <MarginPart title={t("Editions")}>
      {work && <Work key={work} id={work} />}
      <ul className="text-small">
        {history.data?.map((e) => (
          <li key={e.number} className="border-b border-rule py-1">
            <strong>{e.number}</strong> · {e.why}
            <span className="block text-soft">
              {e.by}, {moment(e.at)}
            </span>
          </li>
        ))}
      </ul>
      {(history.data?.length ?? 0) > 1 && !asking && (
        <TextButton className="mt-2 underline" onClick={() => setAsking(true)}>
          {t("Go back one edition…")}
        </TextButton>
      )}
      {asking && (
        <div className="mt-2">
          <Trouble error={preview.error ?? undo.error} />
          {preview.data && <Effect effect={preview.data} by="waiting" />}
          <div className="flex gap-2">
            <Button disabled={!preview.data || undo.isPending} onClick={() => undo.mutate()}>
              {t("Go back")}
            </Button>
            <Button look="quiet" onClick={() => setAsking(false)}>
              {t("Not now")}
            </Button>
          </div>
        </div>
      )}
    </MarginPart>
  );
}
