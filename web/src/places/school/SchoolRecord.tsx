import { useInfiniteQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Field } from "../../parts/Field";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { useSettled } from "../../parts/useSettled";
import { t } from "../../text";
import { moment } from "../../text/figures";

type Deed = Schemas["DeedLine"];

/** A deed in a sentence; `{{facts}}` is the name as it was then. */
const SENTENCES: Record<Deed["what"], string> = {
  SCHOOL_BEGUN: "began the school “{{facts}}”",
  SCHOOL_CHANGED: "changed the school’s settings",
  PERSON_ADDED: "added {{facts}}",
  PERSON_CHANGED: "changed {{facts}}",
  PERSON_DISABLED: "disabled {{facts}}",
  PERSON_ENABLED: "let {{facts}} sign in again",
  PERSON_EXPORTED: "downloaded what is kept of {{facts}}",
  PERSON_ERASED: "erased who {{facts}} was",
  PEOPLE_MERGED: "made two people one: {{facts}}",
  CODES_MADE: "made sign-in codes: {{facts}}",
  SITTING_CODES_MADE: "made codes for a sitting: {{facts}}",
  LINK_MADE: "made a sign-in link for {{facts}}",
  INVITED: "invited by mail: {{facts}}",
  PASSWORD_SET: "set a new password ({{facts}})",
  COURSE_ADDED: "made the course “{{facts}}”",
  COURSE_CHANGED: "changed the course “{{facts}}”",
  SECTION_ADDED: "added the section {{facts}}",
  SECTION_CHANGED: "changed the section {{facts}}",
  TEACHER_ADDED: "gave {{facts}} a course",
  TEACHER_REMOVED: "took a course from {{facts}}",
  READER_ADDED: "let {{facts}} read in a course",
  READER_REMOVED: "lets {{facts}} read no more in a course",
  ROSTER_TAKEN: "brought in a roster: {{facts}}",
  STUDENT_ENROLLED: "put {{facts}} on a roster",
  STUDENT_MOVED: "moved a student to {{facts}}",
  STUDENT_REMOVED: "took {{facts}} off a roster",
};

const NAMES: [Deed["what"] | "", string][] = [
  ["", "everything"],
  ["PERSON_ADDED", "people added"],
  ["PERSON_CHANGED", "people changed"],
  ["PERSON_DISABLED", "people disabled"],
  ["PERSON_EXPORTED", "downloads of what is kept"],
  ["PERSON_ERASED", "people erased"],
  ["PEOPLE_MERGED", "people made one"],
  ["CODES_MADE", "codes made"],
  ["SITTING_CODES_MADE", "codes for a sitting made"],
  ["LINK_MADE", "links made"],
  ["INVITED", "people invited"],
  ["PASSWORD_SET", "passwords set"],
  ["COURSE_ADDED", "courses made"],
  ["COURSE_CHANGED", "courses changed"],
  ["TEACHER_ADDED", "teachers added"],
  ["TEACHER_REMOVED", "teachers removed"],
  ["READER_ADDED", "readers added"],
  ["READER_REMOVED", "readers removed"],
  ["ROSTER_TAKEN", "rosters brought in"],
  ["STUDENT_MOVED", "students moved"],
  ["SCHOOL_CHANGED", "settings changed"],
];

/** Who did what in the school, the latest first. */
export function SchoolRecord() {
  const [what, setWhat] = useState<Deed["what"] | "">("");
  const [typed, setTyped] = useState("");
  const words = useSettled(typed, 250);
  const filter = { ...(what ? { what } : {}), ...(words ? { words } : {}) };
  const deeds = useInfiniteQuery({
    queryKey: ["school", "record", what, words],
    initialPageParam: "",
    queryFn: ({ pageParam }) =>
      ok(
        api.GET("/api/school/record", {
          params: { query: { ...filter, ...(pageParam ? { before: pageParam } : {}) } },
        }),
      ),
    getNextPageParam: (last) => (last.length === 200 ? last.at(-1)?.id : undefined),
  });
  return (
    <Sheet
      margin={
        <MarginPart title={t("Find")}>
          <Field label={t("Part of a name")} value={typed} onChange={(e) => setTyped(e.target.value)} />
          <Choose
            className="mt-2"
            label={t("What was done")}
            value={what}
            options={NAMES.map(([id, name]) => [id, t(name)])}
            onChange={(id) => setWhat(id as typeof what)}
          />
          <p className="mt-4">
            <a className="underline" href={`/api/school/record.csv?${new URLSearchParams(filter)}`} download>
              {t("Download as a table")}
            </a>
          </p>
        </MarginPart>
      }
    >
      <h1 className="px-6 py-5 font-script text-title font-semibold">{t("Who did what")}</h1>
      <Loaded query={deeds}>
        {(pages) => {
          const all = pages.pages.flat();
          return all.length === 0 ? (
            <Empty title={t("Nothing was done yet that fits.")} />
          ) : (
            <>
              <ul className="border-t border-rule">
                {all.map((d) => (
                  <li key={d.id} className="flex gap-4 border-b border-rule px-6 py-1.5">
                    <time dateTime={d.at} className="w-40 shrink-0 text-soft">
                      {moment(d.at)}
                    </time>
                    <span>
                      <strong>{d.by ?? t("somebody at the machine")}</strong>{" "}
                      {t(SENTENCES[d.what], { facts: d.facts })}
                    </span>
                  </li>
                ))}
              </ul>
              {deeds.hasNextPage && (
                <div className="px-6 py-4">
                  <Button onClick={() => void deeds.fetchNextPage()} disabled={deeds.isFetchingNextPage}>
                    {t("Show earlier ones")}
                  </Button>
                </div>
              )}
            </>
          );
        }}
      </Loaded>
    </Sheet>
  );
}
