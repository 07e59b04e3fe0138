import { TextButton } from "../../../parts/Button";
import { SortList } from "../../../parts/SortList";
import { t } from "../../../text";
import {
  type Criterion,
  type FrameworkFile,
  freeId,
  isScale,
  newCriterion,
  type Rubric,
} from "../definition";
import { CriterionEditor } from "./CriterionEditor";

/** Criteria with levels, put in order by their handles; a single criterion without a name is one scale. */
export function RubricEditor({
  rubric,
  frameworks,
  onChange,
}: {
  rubric: Rubric;
  frameworks: FrameworkFile[];
  onChange: (rubric: Rubric) => void;
}) {
  const { criteria } = rubric;
  const set = (next: Criterion[]) => onChange({ criteria: next });
  const copy = (c: Criterion) => set([...criteria, { ...c, id: freeId("c", criteria), title: "" }]);
  return (
    <>
      <SortList items={criteria} name={(c) => c.title || t("the scale")} onOrder={set}>
        {(c) => (
          <CriterionEditor
            criterion={c}
            frameworks={frameworks}
            single={isScale(rubric)}
            onChange={(next) => set(criteria.map((o) => (o.id === c.id ? next : o)))}
            onCopy={() => copy(c)}
            {...(criteria.length > 1 ? { onRemove: () => set(criteria.filter((o) => o.id !== c.id)) } : {})}
          />
        )}
      </SortList>
      <TextButton className="mt-1 underline" onClick={() => set([...criteria, newCriterion(criteria)])}>
        {t("another criterion")}
      </TextButton>
    </>
  );
}
