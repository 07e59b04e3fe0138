import type { UseQueryResult } from "@tanstack/react-query";
import { Problem, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Effect } from "../../parts/Effect";
import { Area } from "../../parts/Field";
import { Letters } from "../../parts/GivenAnswer";
import { Kbd } from "../../parts/Keys";
import { MarkWithReason } from "../../parts/Mark";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { Work } from "../../parts/Work";
import { t } from "../../text";
import { points } from "../../text/figures";
import { useWhere } from "../Assessment";
import { Also } from "./Also";
import { byWhom, type DecidedGroup } from "./DecidedRows";
import { type Choice, type Group, isWide } from "./decision";
import { HowFar } from "./HowFar";

type Question = Schemas["QuestionDoubts"];

type Props = {
  question: Question | undefined;
  /** What is decided about: one group, or several in the same way. */
  groups: Group[];
  decided: DecidedGroup | undefined;
  preview: UseQueryResult<Schemas["EffectView"]>;
  choice: Choice;
  onChoice: (choice: Choice) => void;
  /** Whether all that is left of the question is decided. */
  closing: boolean;
  mayConfirm: boolean;
  onConfirm: () => void;
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

/** The effect of the decision, what the key learns, and a comment for those who wrote it. */
export function SettleMargin(p: Props) {
  return (
    <>
      {p.question && p.groups.length > 0 && <Deciding {...p} question={p.question} />}
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
        <Kbd>Enter</Kbd> {t("settles")} · <Kbd>J</Kbd> <Kbd>K</Kbd> {t("next, previous")} · <Kbd>T</Kbd>{" "}
        {t("decide together")} · <Kbd>?</Kbd> {t("keys")}
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

function Deciding(p: Props & { question: Question }) {
  const { assessment } = useWhere();
  const { choice, groups } = p;
  const [first] = groups;
  const effect = p.preview.data;
  const n = effect?.marks ?? groups.reduce((sum, g) => sum + g.count, 0);
  const wide = isWide(choice.reach);
  return (
    <>
      {p.decided && (
        <Note by="person">
          <strong>{t("Already decided: {{credit}} credit.", { credit: points(p.decided.credit) })}</strong>{" "}
          {byWhom(p.decided)}. {t("A new decision takes its place.")}
        </Note>
      )}
      {groups.length > 1 && (
        <Note by="waiting">
          {p.closing
            ? t("All {{count}} groups that are left of this question are decided at once.", {
                count: groups.length,
              })
            : t("{{count}} groups are decided together.", { count: groups.length })}
        </Note>
      )}
      <MarginPart
        title={t(TITLES[choice.credit] ?? "If you give {{credit}} credit", { credit: choice.credit })}
      >
        {p.preview.error ? (
          <Trouble error={p.preview.error} />
        ) : (
          effect && (
            <>
              <Effect effect={effect} by={choice.reach === "THESE" ? "person" : "rule"} />
              <Also
                also={effect.also}
                despite={choice.despite}
                onDespite={(despite) => p.onChoice({ ...choice, despite })}
              />
            </>
          )
        )}
        {choice.reach !== "THESE" && (
          <Note>
            {learns(p.question, groups, choice)}{" "}
            {t("The same answer is scored at once in other sections and from now on.")}
          </Note>
        )}
        <Button look="strong" hotkey="Enter" disabled={!p.mayConfirm} onClick={p.onConfirm}>
          {t(BUTTONS[choice.credit] ?? "Give {{credit}} credit to {{count}} answers", {
            count: n,
            credit: choice.credit,
          })}
        </Button>
      </MarginPart>
      <MarginPart title={t("Other credit")}>
        <input
          id="other-credit"
          aria-label={t("Credit from 0 to 1, such as 3/4")}
          placeholder={t("such as 3/4")}
          value={choice.credit in TITLES ? "" : choice.credit}
          onChange={(e) => p.onChoice({ ...choice, credit: e.target.value || "1" })}
          className="w-32 rounded-corner border border-rule-strong bg-sheet px-2 py-1 font-script text-words"
        />{" "}
        <Kbd>.</Kbd>
      </MarginPart>
      {groups.length === 1 && <Likenesses like={first?.like ?? []} />}
      {groups.some((g) => g.byHand) && (
        <Note by="waiting">
          {t(
            "These answers were given before the question changed, so the key cannot learn them. Your decision counts for these students.",
          )}
        </Note>
      )}
      <HowFar
        assessment={assessment}
        groups={groups}
        isText={p.question.kind === "text"}
        choice={choice}
        onChoice={p.onChoice}
      />
      {!wide && (
        <Area
          label={t("Comment to the students who wrote this")}
          placeholder={
            choice.reach === "THESE"
              ? t("optional; they see it with your notes")
              : t("optional; they see it with the right answers")
          }
          value={choice.note}
          onChange={(e) => p.onChoice({ ...choice, note: e.target.value })}
          className="mb-4"
        />
      )}
    </>
  );
}

/** What the key learns, in words. */
function learns(question: Question, groups: Group[], choice: Choice): string {
  const n = question.number;
  switch (choice.reach) {
    case "HOLDS":
      return t("The key of question {{n}} learns any answer with “{{text}}” in it.", {
        n,
        text: choice.phrase,
      });
    case "PATTERN":
      return t("The key of question {{n}} learns any answer of the pattern “{{text}}”.", {
        n,
        text: choice.phrase,
      });
    case "SLIPS":
      return t(
        "The key of question {{n}} takes what is near an entry for this entry, with the entry’s credit.",
        {
          n,
        },
      );
    default:
      return groups.length > 1
        ? t("The key of question {{n}} learns {{count}} answers.", { n, count: groups.length })
        : t("The key of question {{n}} learns “{{text}}”.", { n, text: groups[0]?.shown ?? "" });
  }
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
              <Letters letters={l.letters} />
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
