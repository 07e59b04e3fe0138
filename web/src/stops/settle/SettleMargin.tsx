import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Effect } from "../../parts/Effect";
import { Area } from "../../parts/Field";
import { Kbd } from "../../parts/Keys";
import { MarkWithReason } from "../../parts/Mark";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import type { Decision } from "./Settle";

type Props = {
  assessment: string;
  question: Schemas["QuestionDoubts"] | undefined;
  group: Schemas["DoubtGroup"] | undefined;
  decision: Decision | undefined;
  credit: string;
  onCredit: (credit: string) => void;
  reach: Decision["reach"];
  onReach: (reach: Decision["reach"]) => void;
  note: string;
  onNote: (note: string) => void;
  onConfirm: () => void;
  pending: boolean;
  error: unknown;
  undoable: number;
  onUndo: () => void;
};

const TITLES: Record<string, string> = {
  "1": "If you give full marks",
  "1/2": "If you give half marks",
  "0": "If you give no marks",
};
const BUTTONS: Record<string, string> = {
  "1": "Give full marks to {{n}}",
  "1/2": "Give half marks to {{n}}",
  "0": "Give no marks to {{n}}",
};

/** The effect of the decision, what the key learns, and a word to those who wrote it. */
export function SettleMargin(p: Props) {
  return (
    <>
      {p.decision && p.group && p.question && <Deciding {...p} group={p.group} question={p.question} />}
      <Trouble error={p.error} />
      <Theirs error={p.error} />
      {p.undoable > 0 && (
        <p className="mb-3">
          <TextButton className="underline" onClick={p.onUndo}>
            {t("Undo the last decision")}
          </TextButton>{" "}
          <Kbd>U</Kbd>
        </p>
      )}
      <p className="text-small text-soft">
        <Kbd>Enter</Kbd> {t("settles")} · <Kbd>J</Kbd> <Kbd>K</Kbd> {t("next, previous")} · <Kbd>?</Kbd>{" "}
        {t("keys")}
      </p>
    </>
  );
}

type Decided = { student: string; mark: Schemas["MarkView"] };

/** What a colleague has decided meanwhile about the same answers. */
function Theirs({ error }: { error: unknown }) {
  const theirs = error instanceof Problem ? ((error.theirs ?? []) as Decided[]) : [];
  if (theirs.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("Decided meanwhile")}>
      <ul className="text-small">
        {theirs.slice(0, 12).map((one) => (
          <li key={one.student} className="border-b border-rule py-1">
            {one.student}: <MarkWithReason mark={one.mark} />
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}

function Deciding(p: Props & { group: Schemas["DoubtGroup"]; question: Schemas["QuestionDoubts"] }) {
  const preview = useQuery({
    queryKey: ["assessment", p.assessment, "doubt-preview", { ...p.decision, note: null }],
    queryFn: () =>
      ok(
        api.POST("/api/assessments/{assessment}/doubts/preview", {
          params: { path: { assessment: p.assessment } },
          body: { ...(p.decision as Decision), note: null },
        }),
      ),
    enabled: p.decision !== undefined,
    placeholderData: keepPreviousData,
  });
  const n = preview.data?.marks ?? p.group.students.length;
  return (
    <>
      <MarginPart title={t(TITLES[p.credit] ?? "If you give {{credit}} of the marks", { credit: p.credit })}>
        {preview.error ? (
          <Trouble error={preview.error} />
        ) : (
          preview.data && <Effect effect={preview.data} by={p.reach === "THESE" ? "person" : "rule"} />
        )}
        {p.reach !== "THESE" && (
          <Note>
            {p.reach === "HOLDS" && p.group.phrase
              ? t("The key of question {{n}} learns any answer with “{{text}}” in it.", {
                  n: p.question.number,
                  text: p.group.phrase,
                })
              : t("The key of question {{n}} learns “{{text}}”.", {
                  n: p.question.number,
                  text: p.group.shown,
                })}{" "}
            {t("Equal answers in other sections, and later ones, are scored at once.")}
          </Note>
        )}
        <Button look="strong" hotkey="Enter" disabled={p.pending || !preview.data} onClick={p.onConfirm}>
          {t(BUTTONS[p.credit] ?? "Give {{credit}} to {{n}}", { n, credit: p.credit })}
        </Button>
      </MarginPart>
      <MarginPart title={t("Another share of the points")}>
        <input
          id="other-credit"
          aria-label={t("a share from 0 to 1, such as 3/4")}
          placeholder={t("such as 3/4")}
          value={p.credit in TITLES ? "" : p.credit}
          onChange={(e) => p.onCredit(e.target.value || "1")}
          className="w-32 rounded-corner border border-rule-strong bg-sheet px-2 py-1 font-script text-words"
        />{" "}
        <Kbd>.</Kbd>
      </MarginPart>
      <Likenesses like={p.group.like} />
      {p.group.byHand && (
        <Note by="waiting">
          {t(
            "These answers were given before the question changed, so the key cannot learn them. Your decision counts for these students.",
          )}
        </Note>
      )}
      <fieldset className="mb-5" disabled={p.group.byHand}>
        <legend className="mb-2 text-small font-semibold text-soft">{t("Put it in the key as")}</legend>
        <Reach p={p} value="EXACT">
          {t("exactly this answer")}
        </Reach>
        {p.group.phrase && p.question.kind === "text" && (
          <Reach p={p} value="HOLDS">
            {t("any answer with")} <strong>{p.group.phrase}</strong> {t("in it")}
          </Reach>
        )}
        <Reach p={p} value="THESE">
          {t("these students only, key unchanged")} <Kbd>V</Kbd>
        </Reach>
      </fieldset>
      {!(p.reach === "HOLDS") && (
        <Area
          label={t("Comment to the students who wrote this")}
          placeholder={
            p.reach === "THESE"
              ? t("optional; they see it with your notes")
              : t("optional; they see it with the right answers")
          }
          value={p.note}
          onChange={(e) => p.onNote(e.target.value)}
          className="mb-4"
        />
      )}
    </>
  );
}

function Reach({ p, value, children }: { p: Props; value: Decision["reach"]; children: React.ReactNode }) {
  return (
    <label className="flex items-baseline gap-2 py-0.5">
      <input type="radio" name="reach" checked={p.reach === value} onChange={() => p.onReach(value)} />
      <span>{children}</span>
    </label>
  );
}

/** What the key lists that this answer is like; letters that the answer has otherwise are underlined. */
function Likenesses({ like }: { like: Schemas["Likeness"][] }) {
  if (like.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("The key lists")}>
      <ul>
        {like.map((l) => (
          <li key={l.listed}>
            <span className="font-script text-words">
              {l.letters.map((s, i) => (
                <span key={i} className={s.same ? "" : "underline decoration-2"}>
                  {s.text}
                </span>
              ))}
            </span>{" "}
            <span className="text-small text-soft">
              {l.accepted ? t("right") : t("known to be wrong")} ·{" "}
              {l.holds || l.apart
                ? t("the answer holds it")
                : t("{{count}} slips away", { count: l.distance })}
            </span>
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}
