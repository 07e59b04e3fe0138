import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useId } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

export type PaperAfter = Schemas["SittingLine"]["paperAfter"];

const WHEN: [PaperAfter, string][] = [
  ["WHEN_ALL_CLOSED", "When every section’s time is over"],
  ["AT_ONCE", "At once"],
  ["NEVER", "Never"],
];

/** When students who have handed in may see the questions again. */
export function PaperAfterChoice({
  value,
  onChange,
  disabled = false,
}: {
  value: PaperAfter;
  onChange: (value: PaperAfter) => void;
  disabled?: boolean;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-small font-semibold text-soft">
        {t("After handing in, students can see the questions")}
      </label>
      <select
        id={id}
        value={value}
        disabled={disabled}
        onChange={(e) => onChange(e.target.value as PaperAfter)}
        className="w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1.5 text-body font-normal text-ink"
      >
        {WHEN.map(([id, words]) => (
          <option key={id} value={id}>
            {t(words)}
          </option>
        ))}
      </select>
    </div>
  );
}

/** The same for what is given out already; it holds at once, for every section that is shown. */
export function SeenAfterwards({ sittings }: { sittings: Schemas["SittingLine"][] }) {
  const client = useQueryClient();
  const set = useMutation({
    mutationFn: (paperAfter: PaperAfter) =>
      Promise.all(
        sittings.map((s) =>
          ok(
            api.PUT("/api/sittings/{sitting}/paper-after", {
              params: { path: { sitting: s.id } },
              body: { paperAfter },
            }),
          ),
        ),
      ),
    onSettled: () => client.invalidateQueries({ queryKey: ["assessment"] }),
  });
  const value = (set.isPending ? set.variables : sittings[0]?.paperAfter) ?? "WHEN_ALL_CLOSED";
  return (
    <MarginPart title={t("The questions afterwards")}>
      <PaperAfterChoice value={value} onChange={(v) => set.mutate(v)} disabled={set.isPending} />
      <Trouble error={set.error} />
    </MarginPart>
  );
}
