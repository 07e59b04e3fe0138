import { Button, TextButton } from "../../../parts/Button";
import { enterSays } from "../../../parts/enterSays";
import { Area } from "../../../parts/Field";
import { Kbd } from "../../../parts/Keys";
import { MarginPart } from "../../../parts/Sheet";
import { t } from "../../../text";
import { ShortMarks } from "./ShortMarks";
import type { useRemarks } from "./useRemarks";

/** In the margin: a comment or a short mark for the words that are chosen. */
export function OnWords({ text, remarks }: { text: string; remarks: ReturnType<typeof useRemarks> }) {
  const { chosen, old, marks } = remarks;
  if (chosen === null) {
    return (
      <MarginPart title={t("On words of the answer")}>
        <p className="text-small text-soft">
          {t("Select words in the answer to comment on them, or choose them by the keyboard:")}{" "}
          <TextButton className="min-h-6" onClick={remarks.begin}>
            {t("choose words")}
          </TextButton>{" "}
          <Kbd>W</Kbd>
        </p>
        <ShortMarks />
      </MarginPart>
    );
  }
  return (
    <MarginPart title={t("On these words")}>
      <p aria-live="polite" className="mb-1">
        <q className="font-script">{text.slice(chosen.from, chosen.to)}</q>
      </p>
      <p className="mb-2 text-small text-soft">
        {t("← → another word, with Shift more or fewer, Esc leaves.")}
      </p>
      {marks.length > 0 && (
        <p className="mb-2 flex flex-wrap gap-2">
          {marks.map((m) => (
            <Button
              key={m.id}
              look="quiet"
              hotkey={m.letter?.toUpperCase()}
              onClick={() => remarks.say(m.text, true)}
            >
              {m.text}
            </Button>
          ))}
        </p>
      )}
      <Area
        id="remark"
        label={t("Comment on these words, for the student")}
        value={remarks.text}
        rows={2}
        maxLength={2_000}
        onKeyDown={enterSays(() => remarks.say(remarks.text, old?.brief ?? false))}
        onChange={(e) => remarks.type(e.target.value)}
      />
      <p className="mt-1 mb-4 flex flex-wrap gap-2">
        <Button
          hotkey="Enter"
          disabled={remarks.text.trim() === ""}
          onClick={() => remarks.say(remarks.text, old?.brief ?? false)}
        >
          {t("Put it there")}
        </Button>
        {old && (
          <Button look="quiet" onClick={remarks.remove}>
            {t("Remove")}
          </Button>
        )}
        <Button look="quiet" onClick={remarks.leave}>
          {t("Leave the words")}
        </Button>
      </p>
    </MarginPart>
  );
}
