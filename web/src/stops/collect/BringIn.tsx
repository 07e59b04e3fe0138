import { Link } from "react-router";
import { Button } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { FileReading } from "../../parts/FileReading";
import { PasteOrFile } from "../../parts/PasteOrFile";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Trouble } from "../../parts/States";
import { t } from "../../text";
import { useWhere } from "../Assessment";
import { AnswerColumns } from "./AnswerColumns";
import { ComingIn } from "./ComingIn";
import { MadeQuestions } from "./MadeQuestions";
import { OtherAnswers } from "./OtherAnswers";
import { RowsThatAsk } from "./RowsThatAsk";
import { useTypedTable } from "./typing/useTypedTable";
import { type Bringing, isDecided, useBringIn, type View } from "./useBringIn";
import { WhatAsks } from "./WhatAsks";

/** Answers from a file: the file as it is, what each column is taken for, and what does not fit on top. */
export function BringIn() {
  const { assessment } = useWhere();
  const bringing = useBringIn(assessment);
  const { view, file, taken } = bringing;
  const typed = useTypedTable(assessment, bringing);
  return (
    <Sheet
      margin={
        <>
          {typed.is ? (
            <MarginPart title={t("Typed from paper")}>
              <Link to={`/a/${assessment}/type-in`} className="underline">
                {t("Go on typing")}
              </Link>
            </MarginPart>
          ) : (
            <MarginPart title={t("The file")}>
              <PasteOrFile label={t("Answers: CSV, XLSX, ODS or text")} onFile={bringing.choose} />
            </MarginPart>
          )}
          <Trouble error={typed.error ?? bringing.error} />
          {bringing.working && <ComingIn assessment={assessment} />}
          {view && file && !taken && view.made.length === 0 && (
            <WhatComesIn view={view} bringing={bringing} assessment={assessment} />
          )}
          {view && file && !taken && view.made.length > 0 && <Made bringing={bringing} view={view} />}
          {taken && (
            <div role="status">
              <Note by="rule">{t("Answers from {{count}} students are in.", { count: taken.students })}</Note>
              {taken.rows.some((r) => !isDecided(r)) && (
                <Note by="waiting">
                  {t(
                    "Some rows stayed out. Bring the same file in again to give them to somebody: nobody comes in twice.",
                  )}
                </Note>
              )}
              <Link to={`/a/${assessment}/collect`} className="underline">
                {t("See them in Collect")}
              </Link>
            </div>
          )}
        </>
      }
    >
      {view && file ? (
        <>
          <Head view={view} bringing={bringing} name={file.name} />
          {view.faults.map((f) => (
            <p key={f.message} className="bg-waiting-wash px-5 py-2 font-semibold text-waiting">
              {f.message}
            </p>
          ))}
          {view.made.length > 0 ? (
            <MadeQuestions view={view} onKind={bringing.kind} onWorth={bringing.worth} />
          ) : (
            <>
              <RowsThatAsk view={view} onRow={bringing.row} />
              <AnswerColumns view={view} bringing={bringing} />
            </>
          )}
        </>
      ) : (
        <Empty title={t("Bring answers in from a file.")}>
          {t(
            "A row for each student and a column for each question, a row for each answer, or a string of letters. Students by number, e-mail or name; questions by number, id or text. You see what everything is used as before anything is brought in, and can change it.",
          )}
        </Empty>
      )}
    </Sheet>
  );
}

const SHAPES = {
  WIDE: "a row a student",
  LONG: "a row an answer",
  LETTERS: "a string of letters a student",
  OPTIONS: "a column an option",
} as const;

function Head({ view, bringing, name }: { view: View; bringing: Bringing; name: string }) {
  const heading = bringing.asked.choices.heading;
  return (
    <div className="border-b border-rule px-5 py-3">
      <p>
        <strong>{name}</strong>{" "}
        <span className="ml-2 text-soft">
          {[
            t("{{rows}} rows, {{columns}} columns", { rows: view.lines, columns: view.columns.length }),
            view.how,
            t(SHAPES[view.shape]),
            ...view.notes,
          ].join(" · ")}
        </span>
      </p>
      <div className="mt-1">
        <FileReading
          how={bringing.asked.how}
          encoding={view.encoding}
          sheets={view.sheets}
          onChange={bringing.read}
        >
          <Choose
            label={t("Rows of headings")}
            value={heading === null ? "" : String(heading)}
            options={[
              ["", t("as found")],
              ["0", t("none")],
              ["1", t("one")],
              ["2", t("two")],
            ]}
            onChange={(n) => bringing.say({ heading: n === "" ? null : Number(n), columns: {} })}
          />
          {view.decimalComma !== null && view.decimalComma !== undefined && (
            <Choose
              label={t("Commas in numbers")}
              value={view.decimalComma ? "yes" : "no"}
              options={[
                ["yes", t("are decimal marks")],
                ["no", t("stay as typed")],
              ]}
              onChange={(is) => bringing.say({ decimalComma: is === "yes" })}
            />
          )}
        </FileReading>
      </div>
    </div>
  );
}

function Made({ bringing, view }: { bringing: Bringing; view: View }) {
  const count = view.made.filter((q) => q.kind !== "LEFT_OUT").length;
  return (
    <MarginPart title={t("This assessment has no questions yet")}>
      <Note by="rule">
        {t("They can be made from the columns of this file. You can change everything in Key afterwards.")}
      </Note>
      {view.made.every((q) => q.key === "" && q.kind !== "POINTS") && (
        <Note by="waiting">
          {t("The file has no key row: say in Key what is right, then bring the answers in.")}
        </Note>
      )}
      <Button look="strong" disabled={count === 0 || bringing.working} onClick={() => void bringing.make()}>
        {t("Make {{count}} questions", { count })}
      </Button>
    </MarginPart>
  );
}

function WhatComesIn({ view, bringing, assessment }: { view: View; bringing: Bringing; assessment: string }) {
  const questions = new Set(view.columns.flatMap((c) => c.item ?? [])).size;
  const waiting = view.rows.filter((r) => !isDecided(r)).length;
  return (
    <>
      <WhatAsks view={view} bringing={bringing} />
      <MarginPart title={t("What will be brought in")}>
        <div aria-live="polite">
          <Note by="rule">
            {[
              t("{{count}} students", { count: view.students }),
              t("{{count}} questions", { count: questions }),
            ].join(" · ")}
          </Note>
          {view.asBefore > 0 && (
            <Note>
              {t("{{count}} students are in already, with the same answers", { count: view.asBefore })}
            </Note>
          )}
          {waiting > 0 && (
            <Note by="waiting">
              {t("{{count}} rows wait and stop nobody: they stay out until they are decided", {
                count: waiting,
              })}
            </Note>
          )}
        </div>
        {view.changed.length > 0 && <OtherAnswers view={view} bringing={bringing} />}
        {view.missing.length > 0 && (
          <Note>
            <details>
              <summary className="cursor-pointer">
                {t("{{count}} students on the roster are not in the file", { count: view.missing.length })}
              </summary>
              <p className="text-small">{view.missing.join(" · ")}</p>
            </details>
          </Note>
        )}
        <Button
          look="strong"
          disabled={
            view.faults.length > 0 ||
            view.open > 0 ||
            view.students === 0 ||
            bringing.working ||
            bringing.looking
          }
          onClick={() => void bringing.take()}
        >
          {t("Bring in answers from {{count}} students", { count: view.students })}
        </Button>
        <Link to={`/a/${assessment}/collect`} className="ml-3 underline">
          {t("Not now")}
        </Link>
      </MarginPart>
    </>
  );
}
