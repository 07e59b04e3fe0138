import { useState } from "react";
import { Button, TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { MarginPart, Note } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { StudentChecks } from "../../../parts/StudentChecks";
import type { Group } from "../../../places/courses/groups/useGroups";
import { t } from "../../../text";
import { moment } from "../../../text/figures";
import { fieldTime, fromField } from "../../../text/zone";
import { Pick } from "./boxes";
import { moreInWords } from "./scale";
import { type SittingView, useSittingChanges } from "./useSitting";

type Line = SittingView["different"][number];

/** More time, other dates: what is different for some students. Only teachers see it. */
export function DifferentForSome({ view, groups }: { view: SittingView; groups: Group[] | undefined }) {
  const { differ, sameAgain } = useSittingChanges(view);
  const [editing, setEditing] = useState<Line | "new" | null>(null);
  return (
    <MarginPart title={t("Different for some")}>
      {view.different.map((line) => (
        <Note key={line.student} by="person">
          <p>
            <strong>{`${line.given} ${line.family}`}</strong> {wordsOf(line)}
          </p>
          <p className="text-small text-soft">
            {line.ownMinutes === null
              ? t("open {{from}} to {{to}}", { from: moment(line.ownOpens), to: moment(line.ownCloses) })
              : t("{{count}} minutes, until {{to}} at the latest", {
                  count: line.ownMinutes,
                  to: moment(line.ownCloses),
                })}
            {line.note && ` · ${line.note}`}
          </p>
          <p className="flex gap-4 text-small">
            <TextButton onClick={() => setEditing(line)}>{t("Change")}</TextButton>
            <TextButton disabled={sameAgain.isPending} onClick={() => sameAgain.mutate(line.student)}>
              {t("Same as the others")}
            </TextButton>
          </p>
        </Note>
      ))}
      <p className="text-small text-soft">{t("Only teachers see this.")}</p>
      <Trouble error={sameAgain.error} />
      {editing ? (
        <Form
          key={editing === "new" ? "new" : editing.student}
          view={view}
          groups={groups}
          line={editing === "new" ? null : editing}
          onDone={() => setEditing(null)}
          differ={differ}
        />
      ) : (
        <TextButton onClick={() => setEditing("new")}>
          {view.different.length > 0 ? t("One more") : t("Make something different for a student")}
        </TextButton>
      )}
    </MarginPart>
  );
}

/** What is different, in words. */
function wordsOf(line: Line): string {
  const more = moreInWords(line.percent, line.more);
  const opens = line.opens ? t("from {{when}}", { when: moment(line.opens) }) : "";
  const closes = line.closes ? t("until {{when}}", { when: moment(line.closes) }) : "";
  const attempts = line.attempts > 0 ? t("{{count}} attempts more", { count: line.attempts }) : "";
  return [more, opens, closes, attempts].filter((words) => words !== "").join(", ");
}

const SHARES: [string, string][] = [
  ["100", "as long as the others"],
  ["125", "a quarter longer"],
  ["150", "half as long again"],
  ["175", "three quarters longer"],
  ["200", "twice as long"],
];

function Form({
  view,
  groups = [],
  line,
  onDone,
  differ,
}: {
  view: SittingView;
  groups: Group[] | undefined;
  line: Line | null;
  onDone: () => void;
  differ: ReturnType<typeof useSittingChanges>["differ"];
}) {
  const [students, setStudents] = useState<string[]>(line ? [line.student] : []);
  const [percent, setPercent] = useState(String(line?.percent ?? 150));
  const [more, setMore] = useState(line?.more ? String(line.more) : "");
  const [opens, setOpens] = useState(line?.opens ? fieldTime(new Date(line.opens)) : "");
  const [closes, setCloses] = useState(line?.closes ? fieldTime(new Date(line.closes)) : "");
  const [attempts, setAttempts] = useState(line?.attempts ? String(line.attempts) : "");
  const [note, setNote] = useState(line?.note ?? "");
  const at = (field: string) => (field ? fromField(field).toISOString() : null);
  const nothing = percent === "100" && !more && !opens && !closes && !attempts;
  return (
    <form
      className="mt-3 grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        differ.mutate(
          {
            students,
            percent: Number(percent),
            more: more ? Number(more) : 0,
            opens: at(opens),
            closes: at(closes),
            note,
            attempts: attempts ? Number(attempts) : null,
          },
          { onSuccess: onDone },
        );
      }}
    >
      {line ? (
        <p className="font-semibold">{`${line.given} ${line.family}`}</p>
      ) : (
        <StudentChecks
          legend={t("Students")}
          all={view.students}
          chosen={students}
          groups={groups}
          onChange={setStudents}
        />
      )}
      <Pick
        label={t("Time")}
        value={percent}
        options={SHARES.map(([value, words]) => [value, t(words)])}
        onChange={setPercent}
      />
      <Field
        label={t("Minutes more")}
        inputMode="numeric"
        value={more}
        onChange={(e) => setMore(e.target.value.replace(/\D/g, ""))}
      />
      <Field
        label={t("Opens for them (empty for the same)")}
        type="datetime-local"
        value={opens}
        onChange={(e) => setOpens(e.target.value)}
      />
      <Field
        label={t("Closes for them (empty for the same)")}
        type="datetime-local"
        value={closes}
        onChange={(e) => setCloses(e.target.value)}
      />
      <Field
        label={t("Attempts more")}
        inputMode="numeric"
        value={attempts}
        onChange={(e) => setAttempts(e.target.value.replace(/\D/g, ""))}
      />
      <Field label={t("Why, for teachers")} value={note} onChange={(e) => setNote(e.target.value)} />
      <Trouble error={differ.error} />
      <div className="flex flex-wrap gap-3">
        <Button type="submit" disabled={students.length === 0 || nothing || differ.isPending}>
          {t("Make it different for {{count}} students", { count: students.length })}
        </Button>
        <TextButton onClick={onDone}>{t("Leave it as it is")}</TextButton>
      </div>
    </form>
  );
}
