import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { useSettled } from "../../parts/useSettled";
import { t } from "../../text";
import { percent, points } from "../../text/figures";

/** How late an attempt came in, and what the late penalty of the paper makes of it; seen before it is saved. */
export function DaysLate({ trace }: { trace: Schemas["Trace"] }) {
  const client = useQueryClient();
  const [days, setDays] = useState(trace.daysLate);
  const asked = useSettled(days);
  const changed = days.trim() !== trace.daysLate && days.trim() !== "";
  const path = { params: { path: { attempt: trace.attempt } } };
  const preview = useQuery({
    queryKey: ["late-preview", trace.attempt, asked],
    queryFn: () => ok(api.POST("/api/attempts/{attempt}/late/preview", { ...path, body: { days: asked } })),
    enabled: changed,
    retry: false,
    placeholderData: keepPreviousData,
  });
  const save = useMutation({
    mutationFn: () => ok(api.PUT("/api/attempts/{attempt}/late", { ...path, body: { days } })),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ["trace", trace.attempt] });
      await client.invalidateQueries({ queryKey: ["gradebook"] });
      await client.invalidateQueries({ queryKey: ["assessment", trace.assessment] });
    },
  });
  return (
    <details className="mt-2 text-small" open={trace.daysLate !== "0"}>
      <summary className="cursor-pointer">{t("Handed in late?")}</summary>
      <Field
        className="mt-2 w-40"
        label={t("Days late")}
        inputMode="decimal"
        value={days}
        onChange={(e) => setDays(e.target.value)}
      />
      {!trace.latenessCounts && (
        <p className="mt-1 text-soft">{t("This assessment has no late penalty, so it changes no score.")}</p>
      )}
      {changed && preview.data && (
        <Note by="rule">
          {t("The score goes from {{before}} to {{after}}.", {
            before: scoreOf(preview.data.now),
            after: scoreOf(preview.data.then),
          })}
        </Note>
      )}
      <Trouble error={preview.error ?? save.error} />
      <Button
        className="mt-2"
        disabled={!changed || !preview.data || asked !== days || save.isPending}
        onClick={() => save.mutate()}
      >
        {t("Save days late")}
      </Button>
    </details>
  );
}

const scoreOf = (s: Schemas["Standing"]) => `${points(s.score)} (${percent(s.percent)})`;
