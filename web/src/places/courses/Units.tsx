import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";
import { AddOne } from "../../parts/AddOne";
import { TextButton } from "../../parts/Button";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { type CourseView, useCourseWork } from "./useCourse";

type Unit = Schemas["UnitLine"];
type Assessment = Schemas["AssessmentLine"];

/** Assessments by unit, in the order of the units; those in none come last, without a heading where there is no unit. */
export function grouped(all: Assessment[], units: Unit[]): [string, Assessment[]][] {
  const of = (unit: string | null) => all.filter((a) => (a.unit ?? null) === unit);
  const none = of(null);
  return [
    ...units.map((u): [string, Assessment[]] => [u.title, of(u.id)]).filter(([, rows]) => rows.length > 0),
    ...(none.length > 0 ? [[units.length > 0 ? t("In no unit") : "", none] as [string, Assessment[]]] : []),
  ];
}

export function UnitOf({
  course,
  assessment,
  units,
}: {
  course: string;
  assessment: Assessment;
  units: Unit[];
}) {
  const client = useQueryClient();
  const put = useMutation({
    mutationFn: (unit: string | null) =>
      ok(
        api.PUT("/api/assessments/{assessment}/unit", {
          params: { path: { assessment: assessment.id } },
          body: { unit },
        }),
      ),
    onSettled: () => client.invalidateQueries({ queryKey: ["assessments", course] }),
  });
  return (
    <select
      aria-label={t("Unit of {{title}}", { title: assessment.title })}
      value={assessment.unit ?? ""}
      onChange={(e) => put.mutate(e.target.value || null)}
      className="mt-3 mr-4 rounded-corner border border-rule bg-sheet px-1 py-0.5 text-small"
    >
      <option value="">{t("in no unit")}</option>
      {units.map((u) => (
        <option key={u.id} value={u.id}>
          {u.title}
        </option>
      ))}
    </select>
  );
}

/** The topics of a course. */
export function Units({ view }: { view: CourseView }) {
  const work = useCourseWork(view.id);
  const client = useQueryClient();
  return (
    <MarginPart title={t("Units")}>
      <ul className="mb-2">
        {view.units.map((u) => (
          <li key={u.id} className="flex justify-between border-b border-rule py-1">
            {u.title}
            <TextButton
              className="text-small"
              aria-label={t("Remove the unit {{title}}", { title: u.title })}
              onClick={() =>
                work.removeUnit.mutate(u.id, {
                  onSuccess: () => client.invalidateQueries({ queryKey: ["assessments", view.id] }),
                })
              }
            >
              {t("Remove")}
            </TextButton>
          </li>
        ))}
      </ul>
      <AddOne
        label={t("A new unit: its assessments stand together")}
        adding={work.addUnit.isPending}
        onAdd={(title, onSuccess) => work.addUnit.mutate(title, { onSuccess })}
      />
      <Trouble error={work.addUnit.error ?? work.removeUnit.error} />
    </MarginPart>
  );
}
