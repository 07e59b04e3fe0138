import { t } from "../../../text";
import { Pick } from "./boxes";
import { mayBeChanged, type Settings, type SittingDraft, seesAtHandIn } from "./draft";

const TIMES = [1, 2, 3, 4, 5, 10, 20];

const timesInWords = (n: number): string =>
  n === 1 ? t("once") : n === 2 ? t("twice") : t("{{n}} times", { n });

/** How often it may be taken, and whether answers may be changed after handing in. */
export function TakenAgain({
  draft: { settings, seen },
  onSettings,
}: {
  draft: SittingDraft;
  onSettings: (more: Partial<Settings>) => void;
}) {
  const times = TIMES.includes(settings.attempts) ? TIMES : [...TIMES, settings.attempts];
  return (
    <>
      <Pick
        label={t("each student can take it")}
        value={String(settings.attempts)}
        options={times.map((n) => [String(n), timesInWords(n)])}
        onChange={(n) => onSettings({ attempts: Number(n) })}
      />
      {settings.attempts > 1 && (
        <p className="text-small text-soft">
          {t("Which attempt counts is a rule of the paper, in Key: the best, unless it says otherwise.")}
        </p>
      )}
      {settings.attempts > 1 && seen.keys === "AT_HAND_IN" && (
        <p className="text-small text-waiting">
          {t("Students see the right answers at hand-in, before they take it again.")}
        </p>
      )}
      {mayBeChanged(settings) && (
        <Pick
          label={t("after handing in, answers")}
          value={settings.changes ? "yes" : "no"}
          options={[
            ["no", t("stay as they are")],
            ["yes", t("can be changed until the time is over")],
          ]}
          onChange={(value) => onSettings({ changes: value === "yes" })}
        />
      )}
      {settings.changes && (
        <p className={`text-small ${seesAtHandIn(seen) ? "text-waiting" : "text-soft"}`}>
          {seesAtHandIn(seen)
            ? t("But students see at hand-in how they did, and then their answers stay.")
            : t("What was handed in before is kept each time, with its receipt.")}
        </p>
      )}
    </>
  );
}
