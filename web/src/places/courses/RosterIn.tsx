import { Link, useNavigate, useParams } from "react-router";
import { Button } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Check, Field } from "../../parts/Field";
import { FileReading } from "../../parts/FileReading";
import { PasteOrFile } from "../../parts/PasteOrFile";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Trouble } from "../../parts/States";
import { t } from "../../text";
import { RosterRows } from "./RosterRows";
import { useCourse } from "./useCourse";
import { type Effect, type Use, useRosterIn } from "./useRosterIn";

const USES: [Use, string][] = [
  ["NUMBER", "number"],
  ["NAME", "name"],
  ["NAME_TURNED", "name, surname first"],
  ["GIVEN", "first name"],
  ["FAMILY", "surname"],
  ["EMAIL", "e-mail"],
  ["SECTION", "section"],
  ["LEFT_OUT", "left out"],
];

/** A roster from a file or pasted: what each column is taken for, what would change and why, before anything does. */
export function RosterIn() {
  const { course = "" } = useParams();
  const view = useCourse(course);
  const roster = useRosterIn(course);
  const navigate = useNavigate();
  const effect = roster.effect;
  return (
    <Sheet
      margin={
        <>
          <MarginPart title={t("The file")}>
            <PasteOrFile
              label={t("A roster: CSV, XLSX, ODS or a OneRoster package")}
              onFile={roster.choose}
            />
          </MarginPart>
          <Trouble error={roster.error} />
          {effect && !roster.taken && <WhatHappens effect={effect} roster={roster} />}
          {roster.taken && (
            <div role="status">
              <Note by="rule">
                {t("{{count}} students of the file are now on the rosters.", { count: roster.taken.comeIn })}
              </Note>
              <Button look="strong" onClick={() => void navigate(`/courses/${course}/roster`)}>
                {t("See the rosters")}
              </Button>
            </div>
          )}
        </>
      }
    >
      <div className="px-6 py-5">
        <div className="flex flex-wrap items-baseline gap-x-3">
          <h1 className="font-script text-title font-semibold">{t("Bring in a roster")}</h1>
          <p className="text-soft">
            <Link to={`/courses/${course}/roster`} className="underline">
              {view.data?.title}
            </Link>
            {roster.file &&
              [" ", roster.file.name, effect?.how, ...(effect?.notes ?? [])].filter(Boolean).join(" · ")}
          </p>
        </div>
        {effect && (
          <div className="mt-3 grid gap-2">
            <FileReading
              how={roster.asked.how}
              encoding={effect.encoding}
              sheets={effect.sheets}
              onChange={(how) => roster.say({ how })}
            />
            <Columns
              effect={effect}
              onChange={(columns) => roster.say({ columns: { ...roster.asked.columns, ...columns } })}
            />
          </div>
        )}
      </div>
      {effect ? (
        <RosterRows
          effect={effect}
          onDecide={(line, decision) =>
            roster.say({ decisions: { ...roster.asked.decisions, [line]: decision } })
          }
        />
      ) : (
        <Empty title={t("Bring in a roster from a file, or paste it.")}>
          {t(
            "A row for each student, with number, name, section, and e-mail if you have it; columns in any order, in one name column or two. You see who is new, who moved and who is not in the file before anything changes.",
          )}
        </Empty>
      )}
    </Sheet>
  );
}

function Columns({ effect, onChange }: { effect: Effect; onChange: (columns: Record<number, Use>) => void }) {
  return (
    <fieldset className="flex flex-wrap items-center gap-2">
      <legend className="float-left mr-2 text-small text-soft">{t("Columns are used as")}</legend>
      {effect.columns.map((c) => (
        <label
          key={c.index}
          title={c.because}
          className="inline-flex items-center gap-1 rounded-corner border border-rule-strong px-2 text-small"
        >
          <span className="text-soft">{c.name}</span>
          <select
            aria-label={t("Column {{name}}", { name: c.name })}
            value={c.use}
            onChange={(e) => onChange({ [c.index]: e.target.value as Use })}
            className={`bg-sheet py-1 font-semibold ${c.use === "LEFT_OUT" ? "text-soft" : "text-by-rule"}`}
          >
            {USES.map(([use, name]) => (
              <option key={use} value={use}>
                {t(name)}
              </option>
            ))}
          </select>
        </label>
      ))}
    </fieldset>
  );
}

function WhatHappens({ effect, roster }: { effect: Effect; roster: ReturnType<typeof useRosterIn> }) {
  const count = (what: string) => effect.rows.filter((r) => r.what === what).length;
  const open = effect.rows.filter((r) => r.choices.length > 0 && !r.decided).length;
  const left = count("LEFT");
  const hasSection = effect.columns.some((c) => c.use === "SECTION");
  return (
    <>
      <MarginPart title={t("What will happen")}>
        <div aria-live="polite">
          <Note by="rule">
            {[
              t("{{n}} new", { n: count("NEW") + count("JOINS") }),
              t("{{n}} moved", { n: count("MOVED") }),
              t("{{n}} renamed", { n: count("RENAMED") }),
              t("{{n}} as before", { n: effect.asSame }),
            ].join(" · ")}
          </Note>
          {open > 0 && (
            <Note by="waiting">
              <strong className="text-waiting">{t("{{count}} to decide", { count: open })}</strong>
              <br />
              {t(
                "They stop nobody: the others can come in now. Bring the file in again to decide these later.",
              )}
            </Note>
          )}
          {effect.faults.length > 0 && (
            <Note by="waiting">
              <strong className="text-waiting">
                {t("{{count}} rows cannot come in as they are", { count: effect.faults.length })}
              </strong>
            </Note>
          )}
        </div>
        {!hasSection && (
          <Field
            label={t("Section for the whole file")}
            defaultValue={roster.asked.section}
            onBlur={(e) => e.target.value !== roster.asked.section && roster.say({ section: e.target.value })}
          />
        )}
        {effect.fileSections.length > 1 && (
          <Choose
            className="mb-2"
            label={t("Sections of the file")}
            value={roster.asked.only[0] ?? ""}
            options={[
              ["", t("all {{n}}", { n: effect.fileSections.length })],
              ...effect.fileSections.map((s): [string, string] => [s, s]),
            ]}
            onChange={(s) => roster.say({ only: s ? [s] : [] })}
          />
        )}
        {left > 0 && (
          <Check checked={roster.asked.leave} onChange={(leave) => roster.say({ leave })}>
            {t("Take {{count}} students who are not in the file off the roster. Their work is kept.", {
              count: left,
            })}
          </Check>
        )}
      </MarginPart>
      <Button
        look="strong"
        disabled={effect.comeIn === 0 || roster.taking || roster.looking}
        onClick={() => void roster.take()}
      >
        {roster.taking ? t("Bringing in…") : t("Bring in {{count}} students", { count: effect.comeIn })}
      </Button>
    </>
  );
}
