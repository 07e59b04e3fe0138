import { type KeyboardEvent, useEffect, useRef } from "react";
import { VirtualRows } from "../../../parts/VirtualRows";
import { t } from "../../../text";
import { percent } from "../../../text/figures";
import { cellOf, SAID, SIGN } from "./cells";
import { fitWords } from "./fitWords";
import type { Question, Student } from "./useStudents";

const STEP: Record<string, [number, number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** The table itself: one cell has the focus, arrows move it, Enter or a click opens it. */
export function StudentsTable({
  questions,
  all,
  students,
  nameOf,
  cell,
  chosen,
  missed,
  onCell,
  onQuestion,
}: {
  questions: Question[];
  all: Question[];
  students: Student[];
  nameOf: (s: Student) => string;
  cell: { attempt: string; item: string } | null;
  chosen: number[];
  missed: Set<string>;
  onCell: (attempt: string, item: string) => void;
  onQuestion: (number: number) => void;
}) {
  const table = useRef<HTMLTableElement>(null);
  const moved = useRef(false);
  useEffect(() => {
    if (moved.current && cell) {
      moved.current = false;
      const own = table.current?.querySelector<HTMLElement>(
        `[data-a="${cell.attempt}"][data-i="${CSS.escape(cell.item)}"]`,
      );
      own?.focus();
      own?.scrollIntoView({ block: "nearest", inline: "nearest" });
    }
  }, [cell]);
  const open = (target: EventTarget) => {
    const own = target instanceof HTMLElement ? target.closest<HTMLElement>("[data-i]") : null;
    if (own?.dataset.a && own.dataset.i) {
      moved.current = true;
      onCell(own.dataset.a, own.dataset.i);
    }
  };
  const onKey = (e: KeyboardEvent) => {
    const step = STEP[e.key];
    const at = e.target instanceof HTMLElement ? e.target.closest<HTMLElement>("[data-i]") : null;
    if (!step || !at) {
      if (e.key === "Enter" && at) {
        open(at);
      }
      return;
    }
    e.preventDefault();
    e.stopPropagation();
    const row = students.findIndex((s) => s.attempt === at.dataset.a) + step[0];
    const column = questions.findIndex((q) => q.item === at.dataset.i) + step[1];
    const [student, question] = [students[row], questions[column]];
    if (student && question) {
      moved.current = true;
      onCell(student.attempt, question.item);
    }
  };
  const first = cell ?? { attempt: students[0]?.attempt, item: questions[0]?.item };
  return (
    <section aria-label={t("Students by questions")} className="overflow-x-auto">
      <table
        ref={table}
        // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a grid of cells that arrows move through
        role="grid"
        aria-rowcount={students.length + 1}
        className="min-w-full"
        onClick={(e) => open(e.target)}
        onKeyDown={onKey}
      >
        <thead>
          <tr className="border-b border-rule text-small text-soft">
            <th scope="col" className="sticky left-0 bg-sheet py-1 pl-5 text-left font-normal">
              {t("Student")}
            </th>
            <th scope="col" className="w-16 pr-3 text-right font-normal">
              %
            </th>
            {questions.map((q) => (
              <th
                key={q.item}
                scope="col"
                className={`min-w-9 p-0 font-normal ${chosen.includes(q.number) ? "bg-waiting-wash" : ""}`}
              >
                <button
                  type="button"
                  aria-pressed={chosen.includes(q.number)}
                  title={q.prompt}
                  aria-label={t("Question {{n}}: {{prompt}}", { n: q.number, prompt: q.prompt })}
                  onClick={() => onQuestion(q.number)}
                  className={`min-h-7 w-full ${chosen.includes(q.number) ? "font-semibold text-waiting" : ""} ${q.dropped ? "line-through" : ""}`}
                >
                  {q.number}
                </button>
              </th>
            ))}
            <th scope="col" className="w-64 min-w-48 pl-4 text-left font-normal">
              {t("what does not fit")}
            </th>
          </tr>
        </thead>
        <VirtualRows rows={students} height={31} columns={questions.length + 3} overscan={8}>
          {(s) => (
            <tr
              key={s.attempt}
              className={`border-b border-rule ${missed.has(s.attempt) ? "bg-waiting-wash" : ""}`}
            >
              <th
                scope="row"
                className={`sticky left-0 max-w-64 min-w-40 py-1 pr-3 pl-5 text-left wrap-anywhere ${missed.has(s.attempt) ? "bg-waiting-wash" : "bg-sheet"}`}
              >
                {nameOf(s)}
              </th>
              <td className={`pr-3 text-right whitespace-nowrap ${s.provisional ? "text-waiting" : ""}`}>
                {percent(s.percent).replace("%", "")}
                <span aria-hidden="true" className="inline-block w-3">
                  {s.provisional ? "…" : ""}
                </span>
                {s.provisional && <span className="sr-only">{t("still provisional")}</span>}
              </td>
              {questions.map((q) => (
                <Cell
                  key={q.item}
                  student={s}
                  question={q}
                  here={cell?.attempt === s.attempt && cell.item === q.item}
                  first={first.attempt === s.attempt && first.item === q.item}
                  chosen={chosen.includes(q.number)}
                />
              ))}
              <td className="pr-3 pl-4 text-small text-soft">{fitWords(s, all)}</td>
            </tr>
          )}
        </VirtualRows>
      </table>
    </section>
  );
}

function Cell({
  student,
  question,
  here,
  first,
  chosen,
}: {
  student: Student;
  question: Question;
  here: boolean;
  first: boolean;
  chosen: boolean;
}) {
  const letter = cellOf(student, question.number);
  const waits = letter === "s" || letter === "r";
  return (
    <td
      // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a cell of the grid
      role="gridcell"
      data-a={student.attempt}
      data-i={question.item}
      tabIndex={first ? 0 : -1}
      aria-selected={here}
      aria-label={`${question.number}: ${t(SAID[letter] ?? "")}`}
      className={`cursor-pointer text-center ${chosen ? "bg-waiting-wash" : ""} ${waits ? "text-waiting" : letter === "n" || letter === "b" ? "text-soft" : ""} ${here ? "outline-2 -outline-offset-2 outline-ink" : ""}`}
    >
      {SIGN[letter]}
    </td>
  );
}
