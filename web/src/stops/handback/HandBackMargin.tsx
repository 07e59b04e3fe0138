import type { Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Check } from "../../parts/Field";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { Work } from "../../parts/Work";
import { t } from "../../text";
import { percent, points } from "../../text/figures";
import type { Message, Sees } from "./HandBack";

type Line = Schemas["HandBackLine"];

const WHAT: [keyof Sees, string][] = [
  ["score", "score and band"],
  ["marks", "mark for each question"],
  ["answers", "their answers"],
  ["notes", "my comments"],
  ["keys", "right answers"],
];

/** Who, what they see, a message by score with counts and borderline cases, and the button that says what it does. */
export function HandBackMargin({
  view,
  chosen,
  onChosen,
  onShow,
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
  chosen: string[];
  onChosen: (attempts: string[]) => void;
  onShow: (attempt: string) => void;
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
      <Who view={view} chosen={chosen} onChosen={onChosen} onShow={onShow} />
      <MarginPart title={t("What they see")}>
        <div className="grid grid-cols-2">
          {WHAT.map(([name, words]) => (
            <Check key={name} checked={sees[name]} onChange={(on) => onSees({ ...sees, [name]: on })}>
              {t(words)}
            </Check>
          ))}
        </div>
      </MarginPart>
      <Messages view={view} chosen={chosen} messages={messages} onMessages={onMessages} />
      <Trouble error={error} />
      <Button look="strong" disabled={chosen.length === 0 || pending} onClick={onHandBack}>
        {t("Hand back to {{count}} students", { count: chosen.length })}
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
}: {
  view: Schemas["HandBackView"];
  chosen: string[];
  onChosen: (attempts: string[]) => void;
  onShow: (attempt: string) => void;
}) {
  const groups: [string, Line[]][] = [
    ["with all marks decided", view.students.filter((s) => s.ready && !s.handedAt)],
    ["whose curve is being computed", view.students.filter((s) => s.awaitsCurve && !s.handedAt)],
    ["with marks still to decide", view.students.filter((s) => !s.ready && !s.awaitsCurve && !s.handedAt)],
    ["changed since they were handed back", view.students.filter((s) => s.changed)],
    ["handed back, unchanged", view.students.filter((s) => s.handedAt && !s.changed)],
  ];
  const toggle = (lines: Line[], on: boolean) => {
    const ids = lines.map((l) => l.attempt);
    onChosen(on ? [...new Set([...chosen, ...ids])] : chosen.filter((c) => !ids.includes(c)));
  };
  return (
    <MarginPart title={t("Who")}>
      {groups.map(
        ([words, lines]) =>
          lines.length > 0 && (
            <Check
              key={words}
              checked={lines.every((l) => chosen.includes(l.attempt))}
              onChange={(on) => toggle(lines, on)}
            >
              <strong>{lines.length}</strong> {t(words)}
            </Check>
          ),
      )}
      <details className="mt-1">
        <summary className="cursor-pointer text-small text-soft">
          {t("Chosen: {{n}} of {{all}}", { n: chosen.length, all: view.students.length })} ·{" "}
          {t("choose by name")}
        </summary>
        <ul className="max-h-64 overflow-y-auto">
          {view.students.map((s) => (
            <li key={s.attempt} className="flex items-baseline justify-between">
              <Check checked={chosen.includes(s.attempt)} onChange={(on) => toggle([s], on)}>
                {s.name}
              </Check>
              <button type="button" className="text-small underline" onClick={() => onShow(s.attempt)}>
                {percent(s.percent)}
              </button>
            </li>
          ))}
        </ul>
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
  chosen: string[];
  messages: Message[];
  onMessages: (messages: Message[]) => void;
}) {
  const students = view.students.filter((s) => chosen.includes(s.attempt));
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
              {t("{{count}} students", { count: students.filter((s) => s.band === band.label).length })}
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
    </MarginPart>
  );
}
