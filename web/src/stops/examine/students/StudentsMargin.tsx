import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok } from "../../../api/client";
import { GivenAnswer } from "../../../parts/GivenAnswer";
import { MarkWithReason } from "../../../parts/Mark";
import { Overrule } from "../../../parts/Overrule";
import { MarginPart, Note } from "../../../parts/Sheet";
import { Loaded } from "../../../parts/States";
import { t } from "../../../text";
import { figure } from "../../../text/figures";
import { useHeader, useWhere } from "../../Assessment";
import { ChosenStudents } from "./ChosenStudents";
import { missedAll, missedBy } from "./cells";
import type { Question, Student, StudentsView } from "./useStudents";

/** The chosen cell with its answer, its question and its student; and whoever missed the chosen questions. */
export function StudentsMargin({
  view,
  hidden,
  nameOf,
  student,
  question,
  chosen,
  missed,
}: {
  view: StudentsView;
  hidden: boolean;
  nameOf: (s: Student) => string;
  student: Student | undefined;
  question: Question | undefined;
  chosen: number[];
  missed: Student[];
}) {
  const { assessment, section } = useWhere();
  const course = useHeader(assessment, section).data?.course;
  if (!student && chosen.length === 0) {
    return (
      <MarginPart title={t("How to read this")}>
        <p className="text-small">
          {t(
            "Each cell is the mark of one answer. A student on top with a ○ on the left, or one at the bottom with a ● on the right, does not fit: look there first.",
          )}
        </p>
      </MarginPart>
    );
  }
  return (
    <>
      {student && question && (
        <>
          <MarginPart title={nameOf(student)}>
            <CellAnswer attempt={student.attempt} question={question} />
            {course && !hidden && (
              <Link
                to={`/gradebook/${course}?cell=${student.attempt}`}
                className="block min-h-6 text-small underline underline-offset-2"
              >
                {t("The whole copy")}
              </Link>
            )}
            <p className="mt-2 text-small">{missedWords(missedBy(student, view.questions))}</p>
          </MarginPart>
          <MarginPart title={t("Question {{n}}", { n: question.number })}>
            <p className="font-script">{question.prompt}</p>
            <p className="text-small text-soft">
              {t("mean score")} {figure(question.difficulty.value)} ·{" "}
              {t("{{n}} of {{all}} have no points", {
                n: missedAll(view.students, [question.number]).length,
                all: view.students.length,
              })}
            </p>
            <Link
              to={`/a/${assessment}/examine?item=${question.item}&answers=1${section ? `&section=${section}` : ""}`}
              className="block min-h-6 text-small underline underline-offset-2"
            >
              {t("All answers to it")}
            </Link>
          </MarginPart>
        </>
      )}
      {chosen.length > 0 && (
        <ChosenStudents course={course} chosen={chosen} students={missed} nameOf={nameOf} hidden={hidden} />
      )}
    </>
  );
}

function missedWords(numbers: number[]): string {
  return numbers.length === 0
    ? t("Has points for every question.")
    : t("No points for {{numbers}}.", { numbers: numbers.join(", ") });
}

function CellAnswer({ attempt, question }: { attempt: string; question: Question }) {
  const query = useQuery({
    queryKey: ["mark", attempt, question.item],
    queryFn: () =>
      ok(
        api.GET("/api/attempts/{attempt}/marks/{item}", {
          params: { path: { attempt, item: question.item } },
        }),
      ),
  });
  return (
    <Loaded query={query}>
      {(mark) => (
        <Note by={mark.mark.by === "PERSON" ? "person" : mark.mark.by === "RULE" ? "rule" : "waiting"}>
          <p className="font-script text-words whitespace-pre-wrap">
            <GivenAnswer given={mark.given}>
              {mark.answer || <span className="text-soft">{t("no answer")}</span>}
            </GivenAnswer>
          </p>
          <MarkWithReason mark={mark.mark} />
          <Overrule attempt={attempt} item={question.item} number={question.number} />
        </Note>
      )}
    </Loaded>
  );
}
