import type { ReactNode } from "react";
import { Area } from "../../../parts/Field";
import { t } from "../../../text";
import { zone } from "../../../text/zone";
import { paperAfterInWords } from "../PaperAfter";
import { Box, Group, Pick } from "./boxes";
import { fitting, isOdd, type PaperAfter, type Settings, type SittingDraft } from "./draft";
import { SeenTable } from "./SeenTable";
import { TakenAgain } from "./TakenAgain";
import { TitlePicture } from "./TitlePicture";
import { WaysToIt } from "./WaysToIt";

const yesNo = (yes: string, no: string): ["yes" | "no", string][] => [
  ["yes", t(yes)],
  ["no", t(no)],
];

/** Everything about a sitting, in sentences with boxes: who and when, how it is taken, the ways to it, the words. */
export function SittingFields({
  draft,
  onChange,
  who,
  way,
  slips,
}: {
  draft: SittingDraft;
  onChange: (draft: SittingDraft) => void;
  /** To whom it is given, with its field where that is open. */
  who: ReactNode;
  /** The short word that leads to it; not known before it is given out. */
  way: string | null;
  slips?: Parameters<typeof WaysToIt>[0]["slips"];
}) {
  const set = (more: Partial<SittingDraft>) => onChange({ ...draft, ...more });
  const settings = (more: Partial<Settings>) => set({ settings: fitting({ ...draft.settings, ...more }) });
  const odd = isOdd(draft.opens) || isOdd(draft.closes);
  return (
    <div className="grid gap-x-10 gap-y-7 px-5 py-5 xl:grid-cols-2">
      <Group title={t("Who and when")}>
        {who}
        <Box
          label={t("from")}
          type="datetime-local"
          value={draft.opens}
          onChange={(e) => set({ opens: e.target.value })}
        />
        <Box
          label={t("to")}
          after={t("in the school’s time, {{zone}}", { zone: zone() })}
          type="datetime-local"
          value={draft.closes}
          onChange={(e) => set({ closes: e.target.value })}
        />
        {odd && (
          <p role="status" className="text-small text-waiting">
            {t("One of these times is late in the evening or at night. Is that meant?")}
          </p>
        )}
        <Box
          label={t("handed in late until")}
          after={draft.lateUntil ? "" : t("not at all while this is empty")}
          type="datetime-local"
          value={draft.lateUntil}
          onChange={(e) => set({ lateUntil: e.target.value })}
        />
        {draft.lateUntil && (
          <p className="text-small text-soft">
            {t("What a day costs is a rule of the paper, in Key. Without such a rule it costs nothing.")}
          </p>
        )}
        <Box
          label={t("working time")}
          after={draft.minutes ? t("minutes for each student") : t("minutes; no limit while this is empty")}
          inputMode="numeric"
          className="w-16"
          value={draft.minutes}
          onChange={(e) => set({ minutes: e.target.value.replace(/\D/g, "") })}
        />
      </Group>
      <HowTaken draft={draft} onSettings={settings} onPaperAfter={(paperAfter) => set({ paperAfter })} />
      <SeenTable draft={draft} onChange={set} />
      <WaysToIt draft={draft} onChange={onChange} way={way} {...(slips ? { slips } : {})} />
      <Group title={t("Words before and after")}>
        <TitlePicture settings={draft.settings} onSettings={settings} />
        <Area
          className="w-full"
          label={t("On the page before the questions")}
          value={draft.settings.wordsBefore}
          onChange={(e) => settings({ wordsBefore: e.target.value })}
        />
        <Area
          className="w-full"
          label={t("On the page after handing in")}
          value={draft.settings.wordsAfter}
          onChange={(e) => settings({ wordsAfter: e.target.value })}
        />
      </Group>
    </div>
  );
}

function HowTaken({
  draft,
  onSettings,
  onPaperAfter,
}: {
  draft: SittingDraft;
  onSettings: (more: Partial<Settings>) => void;
  onPaperAfter: (value: PaperAfter) => void;
}) {
  const { settings, paperAfter } = draft;
  return (
    <Group title={t("How it is taken")}>
      <Pick
        label={t("A page shows")}
        value={settings.asking}
        options={[
          ["ONE", t("one question")],
          ["PART", t("a part of the paper")],
          ["ALL", t("all questions")],
        ]}
        onChange={(asking) => onSettings({ asking, goingBack: asking === "ALL" ? true : settings.goingBack })}
      />
      {settings.asking !== "ALL" && (
        <Pick
          label={t("going back")}
          value={settings.goingBack ? "yes" : "no"}
          options={yesNo("yes", "no, what was left is closed")}
          onChange={(value) => onSettings({ goingBack: value === "yes" })}
        />
      )}
      <Pick
        label={t("an answer is")}
        value={settings.mustAnswer ? "yes" : "no"}
        options={yesNo("required before handing in", "not required")}
        onChange={(value) => onSettings({ mustAnswer: value === "yes" })}
      />
      <Pick
        label={t("an answer is looked at")}
        value={settings.practice}
        options={[
          ["NONE", t("after the end only")],
          ["ONCE", t("at once; then it stays (practice)")],
          ["AGAIN", t("at once, with other tries (practice)")],
          ["UNTIL_RIGHT", t("until it is right (practice)")],
        ]}
        onChange={(practice) => onSettings({ practice })}
      />
      {settings.practice !== "NONE" && (
        <p className="text-small text-soft">
          {t(
            "Students see mark, reason and feedback at once; the right answer only where the table says at hand-in.",
          )}
        </p>
      )}
      <TakenAgain draft={draft} onSettings={onSettings} />
      <Pick
        label={t("a calculator on the page:")}
        value={settings.calculator ?? "NONE"}
        options={[
          ["NONE", t("none")],
          ["PLAIN", t("a plain one")],
          ["SCIENTIFIC", t("one with angles and logarithms")],
        ]}
        onChange={(value) => onSettings({ calculator: value === "NONE" ? null : value })}
      />
      <Pick
        label={t("the receipt, with the answers, is")}
        value={settings.receiptByMail ? "yes" : "no"}
        options={yesNo("mailed to each who hands in", "not mailed")}
        onChange={(value) => onSettings({ receiptByMail: value === "yes" ? true : null })}
      />
      <Pick
        label={t("full screen is")}
        value={settings.fullScreen ? "yes" : "no"}
        options={yesNo("asked for; students are told", "not asked for")}
        onChange={(value) => onSettings({ fullScreen: value === "yes" })}
      />
      <Pick
        label={t("leaving the page is")}
        value={settings.leavingCounted ? "yes" : "no"}
        options={yesNo("counted; students are told", "not counted")}
        onChange={(value) => onSettings({ leavingCounted: value === "yes" })}
      />
      <Pick
        label={t("After handing in, students can see the questions")}
        value={paperAfter}
        options={paperAfterInWords()}
        onChange={onPaperAfter}
      />
    </Group>
  );
}
