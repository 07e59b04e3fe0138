import type { Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Check } from "../../parts/Field";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { Work } from "../../parts/Work";
import { t } from "../../text";
import { percent, points } from "../../text/figures";
import { type Chosen, count, type Group, isChosen, isWhole, toggleGroup, toggleLine } from "./chosen";
import { type Looking, type Message, type Sees, WINDOW } from "./HandBack";

const WHAT: [keyof Sees, string][] = [
  ["score", "score and band"],
  ["marks", "mark for each question"],
  ["answers", "their answers"],
  ["notes", "my comments"],
  ["keys", "right answers"],
  ["standards", "how far on each standard"],
  ["classFigures", "how their class did, from eight students on"],
];

const GROUPS: [Group, string][] = [
  ["READY", "with all marks decided"],
  ["AWAITS_CURVE", "whose curve is being computed"],
  ["UNDECIDED", "with marks still to decide"],
  ["CHANGED", "changed since they were handed back"],
  ["CHANGED_UNDECIDED", "changed since they were handed back, with marks still to decide"],
  ["COMPARING", "being compared with what was handed back"],
  ["UNCHANGED", "handed back, unchanged"],
];

/** Who, what they see, a message by score with counts and borderline cases, and the button that says what it does. */
export function HandBackMargin({
  view,
  chosen,
  onChosen,
  onShow,
  looking,
  onLook,
  sees,
  onSees,
  messages,
  onMessages,
  onHandBack,
  pending,
  done,
  work,
  error,
}: {
  view: Schemas["HandBackView"];
  chosen: Chosen;
  onChosen: (chosen: Chosen) => void;
  onShow: (attempt: string) => void;
  looking: Looking;
  onLook: (looking: Looking) => void;
  sees: Sees;
  onSees: (sees: Sees) => void;
  messages: Message[];
  onMessages: (messages: Message[]) => void;
  onHandBack: () => void;
  pending: boolean;
  done: Schemas["HandedBack"] | undefined;
  /** The work in the background that hands back to many. */
  work: string | null;
  error: unknown;
}) {
  return (
    <>
      <Who
        view={view}
        chosen={chosen}
        onChosen={onChosen}
        onShow={onShow}
        looking={looking}
        onLook={onLook}
      />
      <MarginPart title={t("What they see")}>
        <div className="grid grid-cols-2">
          {WHAT.map(([name, words]) => (
            <Check
              key={name}
              checked={sees[name] ?? false}
              onChange={(on) => onSees({ ...sees, [name]: on })}
            >
              {t(words)}
            </Check>
          ))}
        </div>
      </MarginPart>
      <Messages view={view} chosen={chosen} messages={messages} onMessages={onMessages} />
      <Trouble error={error} />
      <Button look="strong" disabled={count(view, chosen) === 0 || pending} onClick={onHandBack}>
        {t("Hand back to {{count}} students", { count: count(view, chosen) })}
      </Button>
      <div role="status" className="mt-3">
        {done && !done.job && (
          <Note by="person">
            {t("Handed back to {{n}}. The gradebook shows the same figures.", {
              n: done.students - done.unchanged,
            })}{" "}
            {done.unchanged > 0 &&
              t("{{count}} results were the same as before and were not handed back again.", {
                count: done.unchanged,
              })}
          </Note>
        )}
      </div>
      {work && <Work key={work} id={work} />}
    </>
  );
}

function Who({
  view,
  chosen,
  onChosen,
  onShow,
  looking,
  onLook,
}: {
  view: Schemas["HandBackView"];
  chosen: Chosen;
  onChosen: (chosen: Chosen) => void;
  onShow: (attempt: string) => void;
  looking: Looking;
  onLook: (looking: Looking) => void;
}) {
  const many = view.all > WINDOW;
  return (
    <MarginPart title={t("Who")}>
      {GROUPS.map(([group, words]) => {
        const students = view.groups.find((g) => g.group === group)?.students ?? 0;
        return (
          students > 0 && (
            <Check
              key={group}
              checked={isWhole(chosen, group)}
              onChange={(on) => onChosen(toggleGroup(chosen, group, on))}
            >
              <strong>{students}</strong> {t(words)}
            </Check>
          )
        );
      })}
      <details className="mt-1">
        <summary className="cursor-pointer text-small text-soft">
          {t("Chosen: {{n}} of {{all}}", { n: count(view, chosen), all: view.all })} · {t("choose by name")}
        </summary>
        {many && (
          <input
            type="search"
            aria-label={t("Find a student by name")}
            placeholder={t("Find a student by name")}
            value={looking.words}
            onChange={(e) => onLook({ from: 0, words: e.target.value })}
            className="my-1 w-full rounded-corner border border-rule bg-sheet px-2 py-0.5"
          />
        )}
        <ul className="max-h-64 overflow-y-auto">
          {view.students.map((s) => (
            <li key={s.attempt} className="flex items-baseline justify-between">
              <Check checked={isChosen(chosen, s)} onChange={(on) => onChosen(toggleLine(chosen, s, on))}>
                {s.name}
              </Check>
              <button type="button" className="text-small underline" onClick={() => onShow(s.attempt)}>
                {percent(s.percent)}
              </button>
            </li>
          ))}
        </ul>
        {view.found > view.students.length && (
          <p className="text-small">
            {t("{{from}} to {{to}} of {{all}}", {
              from: view.from + 1,
              to: view.from + view.students.length,
              all: view.found,
            })}{" "}
            <TextButton
              disabled={view.from === 0}
              onClick={() => onLook({ ...looking, from: Math.max(0, view.from - WINDOW) })}
            >
              {t("Earlier names")}
            </TextButton>{" "}
            <TextButton
              disabled={view.from + view.students.length >= view.found}
              onClick={() => onLook({ ...looking, from: view.from + WINDOW })}
            >
              {t("Later names")}
            </TextButton>
          </p>
        )}
        {view.found === 0 && <p className="text-small text-soft">{t("No student has this name.")}</p>}
      </details>
    </MarginPart>
  );
}

function Messages({
  view,
  chosen,
  messages,
  onMessages,
}: {
  view: Schemas["HandBackView"];
  chosen: Chosen;
  messages: Message[];
  onMessages: (messages: Message[]) => void;
}) {
  return (
    <MarginPart title={t("Messages by band")}>
      {view.bands.length === 0 && (
        <p className="text-soft">{t("This assessment has no bands, so there are no messages.")}</p>
      )}
      {view.bands.map((band) => {
        const message = messages.find((m) => m.from === band.from)?.text ?? "";
        return (
          <div key={band.from} className="mb-2">
            <p className="text-small">
              <strong>{t("from {{from}}", { from: points(band.from) })}</strong> {band.label} ·{" "}
              {t("{{count}} students", { count: count(view, chosen, band.label) })}
            </p>
            <input
              aria-label={t("message from {{from}}", { from: band.from })}
              value={message}
              onChange={(e) =>
                onMessages([
                  ...messages.filter((m) => m.from !== band.from),
                  ...(e.target.value ? [{ from: band.from, text: e.target.value }] : []),
                ])
              }
              className="w-full rounded-corner border border-rule bg-sheet px-2 py-0.5 font-script"
            />
          </div>
        );
      })}
      {view.borderline.map((b) => (
        <p key={b.name + b.bound} className="text-small text-waiting">
          {t("{{name}} has exactly {{percent}}, so the row “from {{bound}}%” applies.", {
            name: b.name,
            percent: percent(b.percent),
            bound: points(b.bound),
          })}
        </p>
      ))}
      {view.onBounds > view.borderline.length && (
        <p className="text-small text-waiting">
          {t("and {{n}} more", { n: view.onBounds - view.borderline.length })}
        </p>
      )}
    </MarginPart>
  );
}
