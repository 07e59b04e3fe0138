import { useMemo } from "react";
import { useSearchParams } from "react-router";
import { TextButton } from "../../../parts/Button";
import { useKeys } from "../../../parts/Keys";
import { Sheet } from "../../../parts/Sheet";
import { SmallSelect } from "../../../parts/SmallSelect";
import { Empty, Loaded } from "../../../parts/States";
import { TableOut } from "../../../parts/table/TableOut";
import { t } from "../../../text";
import { useWhere } from "../../Assessment";
import { ExamineViews } from "../ExamineViews";
import { type By, cellOf, easiestFirst, missedAll, ordered, SAID } from "./cells";
import { fitWords } from "./fitWords";
import { StudentsMargin } from "./StudentsMargin";
import { StudentsTable } from "./StudentsTable";
import { type Student, type StudentsView, useStudents } from "./useStudents";

/** Students by questions: a cell an answer. What is chosen stands in the address. */
export function Students() {
  const { assessment, section } = useWhere();
  const query = useStudents(assessment, section);
  return (
    <Loaded query={query}>
      {(view) =>
        view.students.length === 0 ? (
          <Sheet margin={null}>
            <ExamineViews />
            <Empty title={t("Nothing to examine yet.")}>
              {t("Figures appear here as soon as students hand in.")}
            </Empty>
          </Sheet>
        ) : (
          <Page view={view} />
        )
      }
    </Loaded>
  );
}

function Page({ view }: { view: StudentsView }) {
  const [params, setParams] = useSearchParams();
  const by = (params.get("by") ?? "total") as By;
  const hidden = params.get("names") === "hidden";
  const chosen = numbersIn(params.get("missed"));
  const [attempt, item] = (params.get("cell") ?? "").split(".");
  const questions = useMemo(() => easiestFirst(view.questions), [view]);
  const students = useMemo(() => ordered(view.students, by), [view, by]);
  const missed = useMemo(() => missedAll(students, chosen), [students, chosen]);
  const set = (name: string, value: string) => {
    const next = new URLSearchParams(params);
    value ? next.set(name, value) : next.delete(name);
    setParams(next, { replace: true });
  };
  const nameOf = (s: Student) =>
    hidden ? t("Student {{n}}", { n: view.students.indexOf(s) + 1 }) : `${s.family}, ${s.given}`;
  const toggle = (number: number) =>
    set(
      "missed",
      (chosen.includes(number) ? chosen.filter((n) => n !== number) : [...chosen, number]).join(","),
    );
  useKeys([
    ["n", hidden ? t("show names") : t("hide names"), () => set("names", hidden ? "" : "hidden")],
    ["Escape", t("clear what is chosen"), () => setParams(new URLSearchParams(), { replace: true })],
  ]);
  const out = () => [
    [t("Student"), t("Score"), "%", ...questions.map((q) => String(q.number)), t("What does not fit")],
    ...students.map((s) => [
      nameOf(s),
      s.score,
      s.percent ?? "",
      ...questions.map((q) => t(SAID[cellOf(s, q.number)] ?? "")),
      fitWords(s, view.questions),
    ]),
  ];
  return (
    <Sheet
      margin={
        <StudentsMargin
          view={view}
          hidden={hidden}
          nameOf={nameOf}
          student={students.find((s) => s.attempt === attempt)}
          question={questions.find((q) => q.item === item)}
          chosen={chosen}
          missed={missed}
        />
      }
    >
      <ExamineViews>
        <SmallSelect
          label={t("Order")}
          value={by}
          onChange={(chosen) => set("by", chosen === "total" ? "" : chosen)}
          options={[
            ["total", t("best total on top")],
            ["name", t("by name")],
            ["fit", t("what fits least on top")],
          ]}
        />
        <TextButton
          className="min-h-6"
          aria-pressed={hidden}
          onClick={() => set("names", hidden ? "" : "hidden")}
        >
          {t("Hide names")}
        </TextButton>
        <TableOut name={t("students and questions")} rows={out} />
      </ExamineViews>
      <StudentsTable
        questions={questions}
        all={view.questions}
        students={students}
        nameOf={nameOf}
        cell={attempt && item ? { attempt, item } : null}
        chosen={chosen}
        missed={new Set(missed.map((s) => s.attempt))}
        onCell={(a, i) => set("cell", `${a}.${i}`)}
        onQuestion={toggle}
      />
      <p className="px-5 py-3 text-small text-soft">
        {t(
          "● full points, ◐ some, ○ none, – no answer, … not decided, × excused. The easiest question is on the left. Choose the numbers of questions to see who missed all of them.",
        )}
      </p>
    </Sheet>
  );
}

function numbersIn(list: string | null): number[] {
  return (list ?? "")
    .split(",")
    .map(Number)
    .filter((n) => n > 0);
}
