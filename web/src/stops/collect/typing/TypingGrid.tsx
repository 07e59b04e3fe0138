import { type KeyboardEvent, memo, useEffect, useRef, useState } from "react";
import type { Schemas } from "../../../api/client";
import { same } from "../../../parts/same";
import { t } from "../../../text";
import {
  type Cells,
  firstEmpty,
  gapsIn,
  isOutside,
  isPoints,
  lettersOf,
  type Question,
  typedInto,
} from "./grid";
import type { Typed } from "./useTypedSheets";

type Student = Schemas["TypedStudent"];
type At = { row: number; column: number };

/** A row a student, a column a question. The row that is typed in has fields; letters go on by themselves. */
export function TypingGrid({
  questions,
  students,
  typed,
  points,
}: {
  questions: Question[];
  students: Student[];
  typed: Typed;
  points: boolean;
}) {
  const [at, setAt] = useState<At>(() => firstEmpty(questions, students.map(typed.cellsOf)));
  const [said, setSaid] = useState("");
  const go = (row: number, column: number) => {
    const last = questions.length - 1;
    const to =
      column > last
        ? { row: row + 1, column: 0 }
        : column < 0
          ? { row: row - 1, column: last }
          : { row, column };
    if (to.row >= 0 && to.row < students.length) {
      setAt(to);
    }
  };
  return (
    <section className="overflow-x-auto" aria-label={t("Sheets typed")}>
      <p role="status" className="px-5 py-1 text-small text-waiting">
        {said}
      </p>
      <table>
        <thead>
          <tr className="border-b border-rule text-small text-soft">
            <th scope="col" className="sticky left-0 z-1 bg-sheet py-2 pl-5 text-left font-normal">
              {t("Student")}
            </th>
            {questions.map((q, i) => (
              <th
                key={q.item}
                scope="col"
                title={q.prompt}
                className={`min-w-9 px-1 py-2 font-normal ${i % 5 === 4 ? "border-r border-rule-strong" : ""}`}
              >
                {q.number}
                {isPoints(q, points) && (
                  <span className="block">{t("of {{points}}", { points: q.points })}</span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {students.map((s, row) => (
            <SheetRow
              key={s.student}
              row={row}
              student={s}
              cells={typed.cellsOf(s)}
              questions={questions}
              points={points}
              column={row === at.row ? at.column : null}
              onType={(q, cell, full) => {
                setSaid("");
                typed.type(s.student, q.item, cell);
                full && go(row, at.column + 1);
              }}
              onRefused={(q) =>
                setSaid(
                  t("Question {{n}} has the letters {{letters}}; - for no answer.", {
                    n: q.number,
                    letters: `A–${lettersOf(q, points).slice(-1)}`,
                  }),
                )
              }
              onGo={(down, along) => go(row + down, (row === at.row ? at.column : 0) + along)}
              onHere={(column) => setAt({ row, column })}
            />
          ))}
        </tbody>
      </table>
    </section>
  );
}

type RowProps = {
  /** Its place, by which one goes on from it. */
  row: number;
  student: Student;
  cells: Cells;
  questions: Question[];
  points: boolean;
  column: number | null;
  onType: (q: Question, cell: string, full: boolean) => void;
  onRefused: (q: Question) => void;
  onGo: (down: number, along: number) => void;
  onHere: (column: number) => void;
};

/** Drawn anew only where something of its own has changed: a key that is pressed costs two rows, not the class. */
const SheetRow = memo(
  TypedRow,
  (a: RowProps, b: RowProps) =>
    a.row === b.row &&
    a.student === b.student &&
    a.questions === b.questions &&
    a.points === b.points &&
    a.column === b.column &&
    same(a.cells, b.cells),
);

function TypedRow({
  student: s,
  cells,
  questions,
  points,
  column,
  onType,
  onRefused,
  onGo,
  onHere,
}: RowProps) {
  const here = column !== null;
  const gaps = here ? 0 : gapsIn(questions, cells);
  return (
    <tr className={`border-b border-rule ${here ? "bg-by-person-wash" : ""}`}>
      <th
        scope="row"
        className={`sticky left-0 z-1 max-w-64 min-w-40 py-0.5 pl-5 text-left ${here ? "bg-by-person-wash" : "bg-sheet"}`}
      >
        <button type="button" className="text-left wrap-anywhere" onClick={() => onHere(0)}>
          {s.name}
        </button>
        <span className="block text-small font-normal text-soft">
          {[s.section, s.in && t("in already"), gaps > 0 && t("{{count}} cells empty", { count: gaps })]
            .filter(Boolean)
            .join(" · ")}
        </span>
      </th>
      {questions.map((q, i) => {
        const cell = cells[q.item] ?? "";
        const edge = i % 5 === 4 ? "border-r border-rule-strong" : "";
        const wrong = isOutside(q, points, cell) ? "bg-waiting-wash text-waiting" : "";
        return (
          <td key={q.item} className={`px-0.5 text-center font-script ${edge} ${here ? "" : wrong}`}>
            {here ? (
              <CellField
                label={t("{{name}}, question {{n}}", { name: s.name, n: q.number })}
                cell={cell}
                question={q}
                points={points}
                wrong={wrong}
                focused={column === i}
                onFocus={() => onHere(i)}
                onType={(text) => {
                  const typed = typedInto(q, points, cell, text);
                  typed ? onType(q, typed.cell, typed.full) : onRefused(q);
                }}
                onGo={onGo}
              />
            ) : (
              // biome-ignore lint/a11y/useKeyWithClickEvents: the name at the row's beginning does the same by keyboard
              // biome-ignore lint/a11y/noStaticElementInteractions: see above
              <span className="block min-h-6 cursor-text" onClick={() => onHere(i)}>
                {cell}
              </span>
            )}
          </td>
        );
      })}
    </tr>
  );
}

function CellField({
  label,
  cell,
  question,
  points,
  wrong,
  focused,
  onFocus,
  onType,
  onGo,
}: {
  label: string;
  cell: string;
  question: Question;
  points: boolean;
  wrong: string;
  focused: boolean;
  onFocus: () => void;
  onType: (text: string) => void;
  onGo: (down: number, along: number) => void;
}) {
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (focused && document.activeElement !== field.current) {
      field.current?.focus();
    }
  }, [focused]);
  const isLetter = lettersOf(question, points) !== "";
  const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
    const steps: Record<string, [number, number]> = {
      Enter: [0, 1],
      ArrowDown: [1, 0],
      ArrowUp: [-1, 0],
      ...(isLetter ? { ArrowRight: [0, 1], ArrowLeft: [0, -1] } : {}),
      ...(isLetter && question.several ? { " ": [0, 1] } : {}),
      ...(cell === "" ? { Backspace: [0, -1] } : {}),
    };
    const step = steps[event.key];
    if (step) {
      event.preventDefault();
      onGo(step[0], step[1]);
    }
  };
  const wide = isLetter ? "w-9" : isPoints(question, points) ? "w-12" : "w-28";
  return (
    <input
      ref={field}
      aria-label={label}
      value={cell}
      autoComplete="off"
      spellCheck={false}
      inputMode={isPoints(question, points) ? "decimal" : "text"}
      onFocus={onFocus}
      onChange={(e) => onType(e.target.value)}
      onKeyDown={onKey}
      className={`h-8 ${wide} rounded-corner border border-rule-strong bg-sheet px-1 text-center ${wrong}`}
    />
  );
}
