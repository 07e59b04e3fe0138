import { useState } from "react";
import { Link, useParams } from "react-router";
import { Button, TextButton } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Field } from "../../parts/Field";
import { foundBy } from "../../parts/foundBy";
import { Sheet } from "../../parts/Sheet";
import { Slips } from "../../parts/Slips";
import { Empty, Loaded, Trouble } from "../../parts/States";
import { VirtualRows } from "../../parts/VirtualRows";
import { t } from "../../text";
import { RosterMargin } from "./RosterMargin";
import { type CourseView, useCourse, useCourseWork } from "./useCourse";

/** Who is in a course: its rosters, moved and changed by hand; how its students sign in. */
export function Roster() {
  const { course = "" } = useParams();
  const query = useCourse(course);
  const work = useCourseWork(course);
  const [section, setSection] = useState("");
  const [words, setWords] = useState("");
  if (work.slips.data) {
    return <Slips slips={work.slips.data} onClose={() => work.slips.reset()} />;
  }
  return (
    <Loaded query={query}>
      {(view) => (
        <Sheet margin={<RosterMargin view={view} work={work} section={section} />}>
          <div className="flex flex-wrap items-center justify-between gap-3 px-6 py-5">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <h1 className="font-script text-title font-semibold">{t("Rosters")}</h1>
              <Link to={`/courses/${course}`} className="text-soft underline">
                {view.title}
              </Link>
            </div>
            <div className="flex flex-wrap items-center gap-4">
              {view.students.length > 0 && (
                <Field
                  hidden
                  label={t("Part of a name or number")}
                  placeholder={t("Part of a name or number")}
                  value={words}
                  onChange={(e) => setWords(e.target.value)}
                />
              )}
              {view.sections.length > 1 && (
                <Choose
                  label={t("Section")}
                  value={section}
                  options={[["", t("all")], ...view.sections.map((s): [string, string] => [s.id, s.name])]}
                  onChange={setSection}
                />
              )}
              <Link to={`/courses/${course}/roster-in`} className="underline">
                {t("Bring in a roster")}
              </Link>
            </div>
          </div>
          <Trouble error={work.move.error ?? work.remove.error ?? work.slips.error} />
          <Students view={view} section={section} words={words} work={work} />
        </Sheet>
      )}
    </Loaded>
  );
}

function Students({
  view,
  section,
  words,
  work,
}: {
  view: CourseView;
  section: string;
  words: string;
  work: ReturnType<typeof useCourseWork>;
}) {
  const listed = view.students.filter((s) => section === "" || s.section === section);
  const shown = listed.filter((s) => foundBy(words, [s.given, s.family, s.number, s.username]));
  const [leaving, setLeaving] = useState<string | null>(null);
  if (listed.length === 0) {
    return (
      <Empty title={t("Nobody is on this roster yet.")}>
        {t("Bring in a roster from a file or by paste, or add students by hand in the margin.")}
      </Empty>
    );
  }
  if (shown.length === 0) {
    return (
      <Empty title={t("Nobody on this roster has “{{words}}” in a name or number.", { words: words.trim() })}>
        {t("Take some of it away, or look in all sections.")}
      </Empty>
    );
  }
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-y border-rule text-left text-small text-soft">
            {[t("Name"), t("Number"), t("Section"), t("Signs in as"), ""].map((head, i) => (
              <th key={head} scope="col" className={`${i === 0 ? "px-6" : "pr-3"} py-2 font-normal`}>
                {head || <span className="sr-only">{t("Remove")}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <VirtualRows rows={shown} height={40} columns={5}>
          {(s) => (
            <tr key={s.id + s.section} className="border-b border-rule">
              <td className="px-6 py-1.5 font-script">{`${s.family}, ${s.given}`}</td>
              <td className="pr-3">{s.number ?? "–"}</td>
              <td className="pr-3">
                <select
                  aria-label={t("Section of {{name}}", { name: `${s.given} ${s.family}` })}
                  value={s.section}
                  onChange={(e) => work.move.mutate({ student: s.id, section: e.target.value })}
                  className="rounded-corner border border-rule bg-sheet px-1 py-0.5"
                >
                  {view.sections.map((o) => (
                    <option key={o.id} value={o.id}>
                      {o.name}
                    </option>
                  ))}
                </select>
              </td>
              <td className="pr-3">
                {s.username}
                {!s.hasPassword && <span className="text-small text-waiting"> {t("· no password yet")}</span>}
              </td>
              <td className="pr-4 text-right">
                {leaving === s.id ? (
                  <span className="inline-flex gap-2">
                    <Button
                      onClick={() => {
                        setLeaving(null);
                        work.remove.mutate(s.id);
                      }}
                    >
                      {t("Take {{name}} off the roster", { name: s.given })}
                    </Button>
                    <Button look="quiet" onClick={() => setLeaving(null)}>
                      {t("Not now")}
                    </Button>
                  </span>
                ) : (
                  <span className="inline-flex gap-3">
                    <TextButton onClick={() => work.slips.mutate({ section: null, students: [s.id] })}>
                      {t("New code")}
                    </TextButton>
                    <TextButton
                      onClick={() => setLeaving(s.id)}
                      aria-label={t("Remove {{name}}", { name: `${s.given} ${s.family}` })}
                    >
                      {t("Remove")}
                    </TextButton>
                  </span>
                )}
              </td>
            </tr>
          )}
        </VirtualRows>
      </table>
    </div>
  );
}
