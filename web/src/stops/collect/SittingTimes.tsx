import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { useHeader } from "../Assessment";
import { TimesFields, useTimes } from "./TimesFields";

type Line = Schemas["SittingLine"];

/** The times of what is given out: they can be changed, and giving out can be withdrawn until somebody begins. */
export function SittingTimes({
  assessment,
  sittings,
  begun,
}: {
  assessment: string;
  sittings: Line[];
  begun: Set<string>;
}) {
  const header = useHeader(assessment, null);
  const name = (s: Line) => header.data?.sections.find((x) => x.id === s.section)?.name ?? "";
  return (
    <MarginPart title={t("Times")}>
      {sittings.map((s) => (
        <details key={s.id} className="mb-2">
          <summary className="cursor-pointer font-semibold">
            {t("Change the times of {{section}}", { section: name(s) })}
          </summary>
          <TimesForm sitting={s} section={name(s)} begun={begun.has(s.section)} />
        </details>
      ))}
    </MarginPart>
  );
}

function TimesForm({ sitting, section, begun }: { sitting: Line; section: string; begun: boolean }) {
  const client = useQueryClient();
  const { times, setTimes, asked } = useTimes(() => ({
    opens: new Date(sitting.opens),
    closes: new Date(sitting.closes),
    minutes: sitting.minutes,
  }));
  const again = () => client.invalidateQueries({ queryKey: ["assessment"] });
  const path = { params: { path: { sitting: sitting.id } } };
  const save = useMutation({
    mutationFn: () =>
      ok(
        api.PUT("/api/sittings/{sitting}/times", {
          ...path,
          body: asked(),
        }),
      ),
    onSuccess: again,
  });
  const withdraw = useMutation({
    mutationFn: () => ok(api.DELETE("/api/sittings/{sitting}", path)),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ["key"] });
      await again();
    },
  });
  const [sure, setSure] = useState(false);
  return (
    <div className="mt-2 grid gap-2">
      <TimesFields times={times} onChange={setTimes} />
      <Trouble error={save.error ?? withdraw.error} />
      <div className="flex flex-wrap items-center gap-3">
        <Button disabled={!times.opens || !times.closes || save.isPending} onClick={() => save.mutate()}>
          {t("Save these times")}
        </Button>
        {!begun && !sure && (
          <TextButton className="underline" onClick={() => setSure(true)}>
            {t("Withdraw it from {{section}}", { section })}
          </TextButton>
        )}
      </div>
      {!begun && sure && (
        <Note by="waiting">
          <p>{t("Nobody has begun. It disappears from the students’ To do; the key stays.")}</p>
          <p className="mt-1 flex gap-3">
            <Button look="strong" disabled={withdraw.isPending} onClick={() => withdraw.mutate()}>
              {t("Withdraw")}
            </Button>
            <TextButton className="underline" onClick={() => setSure(false)}>
              {t("Keep it")}
            </TextButton>
          </p>
        </Note>
      )}
    </div>
  );
}
