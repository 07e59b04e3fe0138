import { useState } from "react";
import { Link } from "react-router";
import type { Schemas } from "../../../api/client";
import { Choose } from "../../../parts/Choose";
import { MarginPart, Note, Sheet } from "../../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../../parts/States";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import { useWhere } from "../../Assessment";
import { Differences } from "./Differences";
import { isPoints, lettersOf, pointsOnly } from "./grid";
import { TypingGrid } from "./TypingGrid";
import { type Typed, useTypedSheets } from "./useTypedSheets";

/** Answers or points typed from paper: a grid for the keyboard, which two can fill in to compare. */
export function TypeIn() {
  const { assessment, section } = useWhere();
  const typed = useTypedSheets(assessment, section);
  const [points, setPoints] = useTyped(pointsOnly(assessment), false);
  const [only, setOnly] = useState("");
  return (
    <Loaded query={typed.query}>
      {(view) => (
        <Sheet
          margin={
            <Beside
              view={view}
              typed={typed}
              points={points}
              onPoints={setPoints}
              assessment={assessment}
              section={section}
            />
          }
        >
          {view.questions.length === 0 ? (
            <Empty title={t("There is nothing to type yet.")}>
              {t("Write the questions in Key first: each has a column here, and each student a row.")}
            </Empty>
          ) : view.students.length === 0 ? (
            <Empty title={t("Nobody is on the roster.")}>
              {t("Bring in a roster, or add students by hand: each has a row here.")}
            </Empty>
          ) : (
            <>
              <Sections view={view} only={only} onOnly={setOnly} />
              <TypingGrid
                key={only}
                questions={view.questions}
                students={view.students.filter((s) => only === "" || s.section === only)}
                typed={typed}
                points={points}
              />
            </>
          )}
        </Sheet>
      )}
    </Loaded>
  );
}

/** The pile of one section at a time. */
function Sections({
  view,
  only,
  onOnly,
}: {
  view: Schemas["TypedView"];
  only: string;
  onOnly: (section: string) => void;
}) {
  const names = [...new Set(view.students.map((s) => s.section))].sort();
  return names.length < 2 ? null : (
    <Choose
      className="px-5 pt-2"
      label={t("Section")}
      value={only}
      options={[["", t("all")], ...names.map((name): [string, string] => [name, name])]}
      onChange={onOnly}
    />
  );
}

function Beside({
  view,
  typed,
  points,
  onPoints,
  assessment,
  section,
}: {
  view: Schemas["TypedView"];
  typed: Typed;
  points: boolean;
  onPoints: (on: boolean) => void;
  assessment: string;
  section: string | null;
}) {
  const begun = view.students.filter((s) => Object.values(typed.cellsOf(s)).some(Boolean)).length;
  const others = view.typists.filter((p) => !p.me);
  const letters = view.questions.some((q) => lettersOf(q, points) !== "");
  const ready = view.typists.length > 0 && view.differences.length === 0 && typed.waiting === 0;
  return (
    <>
      <MarginPart title={t("Typed from paper")}>
        <div aria-live="polite">
          <Note by="person">
            {t("{{n}} of {{count}} sheets begun", { n: begun, count: view.students.length })}
          </Note>
          {typed.waiting > 0 ? (
            <Note by="waiting">
              {t("{{count}} sheets are only on this device so far", { count: typed.waiting })}
            </Note>
          ) : (
            <Note by="rule">{t("Everything typed is saved.")}</Note>
          )}
        </div>
        <Trouble error={typed.refused} />
        {others.map((p) => (
          <Note key={p.name} by="person">
            {t("{{name}} has typed {{count}} sheets", { name: p.name, count: p.rows })}
          </Note>
        ))}
        {!view.questions.every((q) => isPoints(q, false)) && (
          <label className="flex items-center gap-2">
            <input type="checkbox" checked={points} onChange={(e) => onPoints(e.target.checked)} />
            {t("Points for every question, not answers")}
          </label>
        )}
      </MarginPart>
      <Differences view={view} typed={typed} />
      <MarginPart title={t("Keys in the grid")}>
        <ul className="text-small">
          {letters && <li>{t("A letter fills its cell and goes on.")}</li>}
          <li>{t("- stands for no answer.")}</li>
          <li>{t("Enter goes on; the arrows go up and down; Backspace in an empty cell goes back.")}</li>
        </ul>
      </MarginPart>
      {ready ? (
        <Link
          to={`/a/${assessment}/bring-in?typed=yes${section ? `&section=${section}` : ""}`}
          className="inline-flex min-h-8 items-center rounded-corner border border-ink bg-ink px-3 py-1 font-semibold text-sheet"
        >
          {t("See what comes in")}
        </Link>
      ) : (
        <p className="text-small text-soft">
          {view.typists.length === 0
            ? t("Type a sheet; then you see what comes in.")
            : t("You see what comes in once everything is saved and decided.")}
        </p>
      )}
    </>
  );
}
