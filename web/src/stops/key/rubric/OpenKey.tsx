import { useState } from "react";
import { TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { Check, Count, FaultLine } from "../../../parts/Field";
import { t } from "../../../text";
import {
  type FrameworkFile,
  type Item,
  isScale,
  newCriterion,
  put,
  type Rubric,
  without,
} from "../definition";
import type { ItemFault, KeyProps } from "../ItemEditor";
import { placeInWords } from "../place";
import { KeptRubric } from "./KeptRubric";
import { MasteredFrom } from "./MasteredFrom";
import { RubricEditor } from "./RubricEditor";
import { TakeRubric } from "./TakeRubric";

/** How an open answer is read: by points, on one scale or by criteria; its word limits; from where on it is mastered. */
export function OpenKey({
  item,
  items,
  frameworks,
  faults,
  onChange,
}: KeyProps & { items: Item[]; frameworks: FrameworkFile[]; faults: ItemFault[] }) {
  const [taking, setTaking] = useState(false);
  const { rubric } = item;
  const setRubric = (next: Rubric | undefined) =>
    onChange(next ? { ...item, rubric: next } : without(without(item, "rubric"), "rubricKept"));
  return (
    <>
      <div className="mb-2 flex flex-wrap items-baseline gap-4">
        <h3 className="text-small font-semibold text-soft">{t("Rubric")}</h3>
        <HowRead rubric={rubric} onChange={setRubric} />
        <TextButton className="underline" aria-expanded={taking} onClick={() => setTaking(!taking)}>
          {t("Use an existing rubric…")}
        </TextButton>
      </div>
      {taking && (
        <TakeRubric
          item={item}
          items={items}
          onTake={(next) => {
            onChange(next);
            setTaking(false);
          }}
          onClose={() => setTaking(false)}
        />
      )}
      {rubric && (
        <>
          <RubricEditor rubric={rubric} frameworks={frameworks} onChange={setRubric} />
          {faults
            .filter((f) => f.path.startsWith("rubric"))
            .map((f) => (
              <FaultLine key={f.path + f.message}>
                {placeInWords(f.path)}: {f.message}
              </FaultLine>
            ))}
          <KeptRubric item={item} rubric={rubric} onChange={onChange} />
        </>
      )}
      <div className="mt-4 flex flex-wrap items-end gap-4">
        <Count
          label={t("Minimum words")}
          value={item.words?.min}
          className="w-44"
          onChange={(min) => onChange(put(item, "words", limits({ ...item.words, min })))}
        />
        <Count
          label={t("Maximum words")}
          value={item.words?.max}
          className="w-44"
          onChange={(max) => onChange(put(item, "words", limits({ ...item.words, max })))}
        />
        <Count
          label={t("Pictures and PDFs")}
          value={item.attachments}
          fault={faults.find((f) => f.path === "attachments")?.message}
          className="w-44"
          onChange={(n) => onChange(put(item, "attachments", n || undefined))}
        />
        <MasteredFrom item={item} fault={faults.find((f) => f.path === "mastery")} onChange={onChange} />
        {rubric && (
          <Check
            checked={item.rubricShown ?? false}
            onChange={(on) => onChange(put(item, "rubricShown", on || undefined))}
          >
            {t("Show students the rubric while they answer")}
          </Check>
        )}
      </div>
    </>
  );
}

type Limits = { min?: number | undefined; max?: number | undefined };

function limits({ min, max }: Limits): Item["words"] {
  return min || max ? { ...(min ? { min } : {}), ...(max ? { max } : {}) } : undefined;
}

/** Points by hand, one scale, or several criteria; Ctrl Z brings back what a choice takes off. */
function HowRead({
  rubric,
  onChange,
}: {
  rubric: Rubric | undefined;
  onChange: (rubric: Rubric | undefined) => void;
}) {
  const now = !rubric ? "points" : isScale(rubric) ? "scale" : "criteria";
  const first = rubric?.criteria[0];
  const change = (to: string) => {
    if (to === "points") {
      onChange(undefined);
    } else if (to === "scale") {
      onChange({ criteria: [{ ...(first ?? newCriterion([])), title: "" }] });
    } else {
      const one = { ...(first ?? newCriterion([])), title: first?.title || t("Criterion 1") };
      onChange({ criteria: [one, { ...newCriterion([one]), title: t("Criterion 2") }] });
    }
  };
  return (
    <Choose
      label={t("Scored with")}
      value={now}
      options={[
        ["points", t("points, no rubric")],
        ["scale", t("one scale")],
        ["criteria", t("criteria with levels")],
      ]}
      onChange={change}
    />
  );
}
