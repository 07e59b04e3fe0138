import type { Schemas } from "../api/client";
import { t } from "../text";
import { points } from "../text/figures";

type Shown = Pick<Schemas["MarkView"], "state" | "points" | "of" | "because" | "who"> & { by: string };

const INKS: Record<string, string> = {
  RULE: "text-by-rule",
  PERSON: "text-by-person",
  NOBODY: "text-waiting",
};

/** Right, partial and wrong by shape and number, never by colour: ● 2 of 2, ◐ 1 of 2, ○ 0 of 2, – blank, … to read. */
export function Mark({
  mark,
  student = false,
}: {
  mark: Omit<Shown, "because" | "who">;
  /** Whether a student reads it: what waits for a teacher is no work of theirs. */
  student?: boolean;
}) {
  return (
    <span className={`whitespace-nowrap font-semibold ${INKS[mark.by] ?? "text-ink"}`}>
      <span aria-hidden="true">{shape(mark)} </span>
      {words(mark, student)}
    </span>
  );
}

export function shape({ state, points: got, of }: { state: string; points: string; of: string }): string {
  if (state === "blank") {
    return "–";
  }
  if (state === "settle" || state === "read") {
    return "…";
  }
  return got === of ? "●" : got === "0" || got.startsWith("-") ? "○" : "◐";
}

function words(
  { state, points: got, of }: { state: string; points: string; of: string },
  student: boolean,
): string {
  switch (state) {
    case "blank":
      return t("no answer");
    case "settle":
      return student ? t("not marked yet") : t("to settle");
    case "read":
      return student ? t("not marked yet") : t("to read");
    case "excused":
      return t("excused");
    default:
      return t("{{got}} of {{of}}", { got: points(got), of: points(of) });
  }
}

/** Whether an open answer counts as mastered, where its item says from where on. */
export function Mastered({ mark }: { mark: { mastered?: boolean | null } }) {
  return mark.mastered === null || mark.mastered === undefined ? null : (
    <span className="text-small font-semibold text-standard">
      {mark.mastered ? t("mastered") : t("not yet mastered")}
    </span>
  );
}

/** A mark with its reason and who decided. */
export function MarkWithReason({ mark }: { mark: Shown }) {
  return (
    <div>
      <Mark mark={mark} />
      <div className="text-small">
        {mark.because}
        {mark.who && <span className="text-soft"> · {mark.who}</span>}
      </div>
    </div>
  );
}
