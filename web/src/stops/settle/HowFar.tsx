import { useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { api, ok } from "../../api/client";
import { Choose } from "../../parts/Choose";
import { Kbd } from "../../parts/Keys";
import { t } from "../../text";
import type { Choice, Group, Reach } from "./decision";

const BOX =
  "mt-1 ml-6 w-[calc(100%-1.5rem)] rounded-corner border border-rule-strong bg-sheet px-2 py-1 font-script text-words";

/** What some answers have in common, as the words or the pattern of a wider rule. */
function useProposed(assessment: string, groups: Group[], wanted: boolean) {
  const forms = groups.map((g) => g.form);
  return useQuery({
    queryKey: ["doubt-rule", assessment, forms],
    queryFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/doubts/rule", {
          params: { path: { assessment } },
          body: { forms },
        }),
      ),
    enabled: wanted,
    staleTime: Number.POSITIVE_INFINITY,
  });
}

/** How far a decision reaches: exactly these answers, a wider rule, or these students only. */
export function HowFar({
  assessment,
  groups,
  isText,
  choice,
  onChoice,
}: {
  assessment: string;
  groups: Group[];
  /** Whether the key can learn wider rules: of short texts. */
  isText: boolean;
  choice: Choice;
  onChoice: (choice: Choice) => void;
}) {
  const byHand = groups.some((g) => g.byHand);
  const proposed = useProposed(assessment, groups, isText && !byHand);
  const reach = (to: Reach, phrase: string) => onChoice({ ...choice, reach: to, phrase, despite: false });
  const phrase = (words: string) => onChoice({ ...choice, phrase: words, despite: false });
  const option = (value: Reach, start: string, words: ReactNode) => (
    <label className="flex items-baseline gap-2 py-0.5">
      <input
        type="radio"
        name="reach"
        className="accent-ink"
        checked={choice.reach === value}
        onChange={() => reach(value, start)}
      />
      <span>{words}</span>
    </label>
  );
  return (
    <fieldset className="mb-5" disabled={byHand}>
      <legend className="mb-2 text-small font-semibold text-soft">{t("This decision holds for")}</legend>
      {option("EXACT", "", groups.length > 1 ? t("exactly these answers") : t("exactly this answer"))}
      {isText && (
        <>
          {option(
            "HOLDS",
            groups[0]?.phrase ?? proposed.data?.words ?? "",
            t("any answer with these words in it"),
          )}
          {choice.reach === "HOLDS" && (
            <input
              aria-label={t("Words that the answer contains")}
              value={choice.phrase}
              maxLength={500}
              onChange={(e) => phrase(e.target.value)}
              className={BOX}
            />
          )}
          {option("PATTERN", proposed.data?.pattern ?? "", t("any answer of this pattern"))}
          {choice.reach === "PATTERN" && (
            <input
              aria-label={t("Pattern of the whole answer")}
              value={choice.phrase}
              maxLength={1000}
              spellCheck={false}
              onChange={(e) => phrase(e.target.value)}
              className={`${BOX} font-mono text-small`}
            />
          )}
          {option("SLIPS", "one", t("any answer that is a typing slip away from the key"))}
          {choice.reach === "SLIPS" && (
            <Choose
              label={t("Typing slips forgiven")}
              value={choice.phrase}
              options={[
                ["one", t("one")],
                ["two", t("up to two")],
                ["length", t("more in longer words")],
              ]}
              onChange={phrase}
              className="mt-1 ml-6"
            />
          )}
        </>
      )}
      {option(
        "THESE",
        "",
        <>
          {t("these students only (the key stays the same)")} <Kbd>V</Kbd>
        </>,
      )}
    </fieldset>
  );
}
