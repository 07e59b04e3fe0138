import { Link } from "react-router";
import { TextButton } from "../../../parts/Button";
import { MarginPart, Note } from "../../../parts/Sheet";
import { t } from "../../../text";
import { percent } from "../../../text/figures";
import { MakeGroup } from "../../courses/groups/MakeGroup";
import { EvidencePart } from "./EvidencePart";
import type { Row, View } from "./useAttainment";

const FEW = 40;

/** The chosen standard: what it comes to, who is below, what it rests on; or one student's evidence. */
export function AttainmentMargin({
  course,
  view,
  row,
  student,
  onStudent,
}: {
  course: string;
  view: View;
  row: Row;
  student: string | null;
  onStudent: (id: string | null) => void;
}) {
  const below = row.below.flatMap((i) => view.students[i] ?? []);
  const level = view.way.levels[view.bound]?.label ?? "";
  const of = row.cells.filter((c) => c !== null).length;
  return (
    <>
      <MarginPart title={`${row.code} ${row.text}`}>
        {row.mean === null ? (
          <Note>
            {row.asked === 0
              ? t("No question asks for it yet.")
              : t("Its questions have no decided marks yet.")}
          </Note>
        ) : (
          <Note by="standard">
            <p>
              {t("{{mean}}, between {{low}}% and {{high}}% with what was seen.", {
                mean: percent(row.mean),
                low: Math.round(row.low * 100),
                high: Math.round(row.high * 100),
              })}
            </p>
            <ul className="text-small">
              {view.way.levels.map((l, i) => (
                <li key={l.label}>
                  {l.label}: <strong>{row.levels[i] ?? 0}</strong>
                </li>
              ))}
              {row.tooLittle > 0 && (
                <li className="text-soft">{t("too little to say: {{n}}", { n: row.tooLittle })}</li>
              )}
            </ul>
          </Note>
        )}
      </MarginPart>
      {student && view.framework ? (
        <EvidencePart
          course={course}
          framework={view.framework}
          code={row.code}
          student={view.students.find((s) => s.id === student) ?? null}
          onClose={() => onStudent(null)}
        />
      ) : (
        <>
          {row.mean !== null && (
            <MarginPart title={t("Below “{{level}}”", { level })}>
              <p aria-live="polite">{t("{{n}} of {{all}} students.", { n: below.length, all: of })}</p>
              <ul className="text-small">
                {below.slice(0, FEW).map((s) => (
                  <li key={s.id} className="inline">
                    <TextButton className="min-h-6" onClick={() => onStudent(s.id)}>
                      {s.given} {s.family}
                    </TextButton>{" "}
                    {percent(row.cells[view.students.indexOf(s)]?.percent ?? null)}
                    {" · "}
                  </li>
                ))}
                {below.length > FEW && (
                  <li className="inline">{t("and {{n}} more", { n: below.length - FEW })}</li>
                )}
              </ul>
              {below.length > 0 && (
                <MakeGroup
                  key={`${row.code}.${view.bound}`}
                  course={course}
                  title={t("{{code}} below {{level}}", { code: row.code, level })}
                  students={below.map((s) => s.id)}
                />
              )}
            </MarginPart>
          )}
          {view.framework && row.asked > 0 && (
            <EvidencePart
              course={course}
              framework={view.framework}
              code={row.code}
              student={null}
              onClose={() => onStudent(null)}
            />
          )}
        </>
      )}
      <NotAsked view={view} />
    </>
  );
}

/** Coverage: what no question of the course has asked for yet. */
function NotAsked({ view }: { view: View }) {
  const never = view.standards.filter((r) => r.asked === 0).map((r) => r.code);
  return (
    <MarginPart title={t("Coverage")}>
      <p className="text-small">
        {never.length === 0
          ? t("Every standard has been asked for.")
          : t("Not asked for yet: {{codes}}.", { codes: never.join(", ") })}
      </p>
      <p className="mt-1 text-small">
        <Link to={`/standards/${view.framework ?? ""}`} className="underline underline-offset-2">
          {t("The framework, and how attainment is decided")}
        </Link>
      </p>
    </MarginPart>
  );
}
