import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Effect } from "../../parts/Effect";
import { Area } from "../../parts/Field";
import { Kbd } from "../../parts/Keys";
import { MarkWithReason } from "../../parts/Mark";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { Work } from "../../parts/Work";
import { t } from "../../text";
import { points } from "../../text/figures";
import { byWhom, type DecidedGroup } from "./DecidedRows";
import type { Decision } from "./Settle";

type Props = {
  assessment: string;
  question: Schemas["QuestionDoubts"] | undefined;
  group: Schemas["DoubtGroup"] | undefined;
  decided: DecidedGroup | undefined;
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
  /** The work in the background by which very many answers are scored again. */
  work: string | null;
  undoable: number;
  onUndo: () => void;
};

const TITLES: Record<string, string> = {
  "1": "If you give full credit",
  "1/2": "If you give half credit",
  "0": "If you give no credit",
};
const BUTTONS: Record<string, string> = {
  "1": "Give full credit to {{count}} answers",
  "1/2": "Give half credit to {{count}} answers",
  "0": "Give no credit to {{count}} answers",
};

/** The effect of the decision, what the key learns, and a word to those who wrote it. */
export function SettleMargin(p: Props) {
  return (
    <>
      {p.decision && p.group && p.question && <Deciding {...p} group={p.group} question={p.question} />}
      <Trouble error={p.error} />
      <Theirs error={p.error} />
      {p.work && <Work key={p.work} id={p.work} />}
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
  const n = preview.data?.marks ?? p.group.count;
  return (
    <>
      {p.decided && (
        <Note by="person">
          <strong>{t("Already decided: {{credit}} credit.", { credit: points(p.decided.credit) })}</strong>{" "}
          {byWhom(p.decided)}. {t("A new decision takes its place.")}
        </Note>
      )}
      <MarginPart title={t(TITLES[p.credit] ?? "If you give {{credit}} credit", { credit: p.credit })}>
        {preview.error ? (
          <Trouble error={preview.error} />
        ) : (
          preview.data && (
            <>
              <Effect effect={preview.data} by={p.reach === "THESE" ? "person" : "rule"} />
              <Also also={preview.data.also} />
            </>
          )
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
            {t("The same answer is scored at once in other sections and from now on.")}
          </Note>
        )}
        <Button look="strong" hotkey="Enter" disabled={p.pending || !preview.data} onClick={p.onConfirm}>
          {t(BUTTONS[p.credit] ?? "Give {{credit}} credit to {{count}} answers", {
            count: n,
            credit: p.credit,
          })}
        </Button>
      </MarginPart>
      <MarginPart title={t("Other credit")}>
        <input
          id="other-credit"
          aria-label={t("Credit from 0 to 1, such as 3/4")}
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
        <legend className="mb-2 text-small font-semibold text-soft">{t("This decision holds for")}</legend>
        <Reach p={p} value="EXACT">
          {t("exactly this answer")}
        </Reach>
        {p.group.phrase && p.question.kind === "text" && (
          <Reach p={p} value="HOLDS">
            {t("any answer that contains “{{text}}”", { text: p.group.phrase })}
          </Reach>
        )}
        <Reach p={p} value="THESE">
          {t("these students only (the key stays the same)")} <Kbd>V</Kbd>
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

/** Other answers that the decision reaches: nobody is surprised by them afterwards. */
function Also({ also }: { also: Schemas["Also"][] }) {
  if (also.length === 0) {
    return null;
  }
  return (
    <Note by="waiting">
      {t("This decision also reaches:")}
      <ul className="text-small">
        {also.map((a) => (
          <li key={a.shown}>
            {a.students}× <span className="font-script">{a.shown}</span> · {a.because}
          </li>
        ))}
      </ul>
    </Note>
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
    <MarginPart title={t("Similar entries in the key")}>
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
              {l.accepted ? t("right") : t("known wrong answer")} ·{" "}
              {l.holds || l.apart
                ? t("the answer contains it")
                : t("{{count}} typing slips away", { count: l.distance })}
            </span>
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}
