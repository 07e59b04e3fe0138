import { Button } from "../../../parts/Button";
import { Area } from "../../../parts/Field";
import { Trouble } from "../../../parts/States";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import { type HintPlan, useHintPlan } from "./useHints";

/** Which hints the readers of a question are given, each on or off. */
export function WhichHints({ assessment, item }: { assessment: string; item: string }) {
  const { plan, change, error } = useHintPlan({ assessment, item });
  const [words, setWords] = useTyped<string | null>(`hint-words:${assessment}:${item}`, null);
  const each: [keyof HintPlan & ("language" | "likeness" | "sentences"), string][] = [
    ["language", t("spelling, capitals and signs of English")],
    ["likeness", t("answers like it that you have read")],
    ["sentences", t("sentences that another student has as well")],
  ];
  const typed = words ?? (plan?.words ?? []).join("\n");
  return (
    <details className="mb-4 text-small">
      <summary className="mb-1 min-h-6 cursor-pointer text-soft">{t("Hints for this question")}</summary>
      {plan && (
        <>
          {each.map(([name, label]) => (
            <label key={name} className="flex min-h-7 items-center gap-2">
              <input
                type="checkbox"
                checked={plan[name]}
                disabled={change.isPending}
                onChange={(e) => change.mutate({ ...plan, [name]: e.target.checked })}
              />
              {label}
            </label>
          ))}
          <Area
            className="mt-1"
            label={t("Words that are looked for, one on each line")}
            value={typed}
            rows={3}
            onChange={(e) => setWords(e.target.value)}
          />
          <Button
            className="mt-1"
            disabled={words === null || change.isPending}
            onClick={() =>
              change.mutate(
                { ...plan, words: typed.split("\n").filter((w) => w.trim() !== "") },
                { onSuccess: () => setWords(null) },
              )
            }
          >
            {t("Look for these words")}
          </Button>
        </>
      )}
      <Trouble error={error} />
    </details>
  );
}
