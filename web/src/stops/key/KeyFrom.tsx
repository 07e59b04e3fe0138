import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import type { Definition } from "./definition";
import { Differences } from "./Fairness";
import type { useDraft } from "./useDraft";

/** A filled-in attempt, or a made-up set of answers, becomes the key; what it would mean is shown first. */
export function KeyFrom({ assessment, draft }: { assessment: string; draft: ReturnType<typeof useDraft> }) {
  const [open, setOpen] = useState(false);
  const path = { params: { path: { assessment } } };
  const trials = draft.definition.trials ?? [];
  const attempts = useQuery({
    queryKey: ["key-from", assessment],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/key-from", path)),
    enabled: open,
    retry: false,
  });
  const take = useMutation({
    mutationFn: (source: string) => {
      const trial = trials.find((_, i) => source === `set ${i}`);
      return ok(
        api.POST("/api/assessments/{assessment}/key-from", {
          ...path,
          body: {
            definition: draft.definition,
            attempt: trial ? null : source,
            answers: trial ? (trial.answers as Record<string, Record<string, never>>) : null,
          },
        }),
      );
    },
  });
  if (!open) {
    return (
      <TextButton className="mb-5 block text-small underline" onClick={() => setOpen(true)}>
        {t("Make the key from answers")}
      </TextButton>
    );
  }
  const taken = take.data;
  return (
    <MarginPart title={t("The key from answers")}>
      <select
        aria-label={t("whose answers become the key")}
        defaultValue=""
        className="mb-2 w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1"
        onChange={(e) => e.target.value && take.mutate(e.target.value)}
      >
        <option value="">{t("Whose answers?")}</option>
        {trials.map((trial, i) => (
          <option key={i} value={`set ${i}`}>
            {t("answer set: {{name}}", { name: trial.name })}
          </option>
        ))}
        {attempts.data?.map((a) => (
          <option key={a.attempt} value={a.attempt}>
            {a.name}
          </option>
        ))}
      </select>
      {trials.length === 0 && attempts.data?.length === 0 && (
        <p className="text-small text-soft">
          {t("Nobody has answered yet. Answer it yourself under “Answer sets”, then take that set.")}
        </p>
      )}
      <Trouble error={take.error} />
      {taken && (
        <Note by="waiting">
          <Differences all={taken.changes} />
          {taken.changes.length === 0 && <p>{t("The key already agrees with these answers.")}</p>}
          {taken.kept.length > 0 && (
            <p className="text-small">
              {t("Not changed, because there is no answer or it is read by hand: question {{numbers}}.", {
                numbers: taken.kept.join(", "),
              })}
            </p>
          )}
          <div className="mt-2 flex gap-2">
            <Button
              disabled={taken.changes.length === 0}
              onClick={() => {
                draft.change(() => taken.definition as unknown as Definition);
                take.reset();
                setOpen(false);
              }}
            >
              {t("Make {{count}} changes", { count: taken.changes.length })}
            </Button>
            <Button
              look="quiet"
              onClick={() => {
                take.reset();
                setOpen(false);
              }}
            >
              {t("Not now")}
            </Button>
          </div>
        </Note>
      )}
    </MarginPart>
  );
}
