import { useState } from "react";
import { Field } from "../../../parts/Field";
import { MarginPart } from "../../../parts/Sheet";
import { useSettled } from "../../../parts/useSettled";
import { t } from "../../../text";
import { RemedyEffect } from "./RemedyEffect";
import type { useDone } from "./useDone";
import { type Remedy, useRemedy } from "./useRemedy";

/** A paper that was too hard: percentage points for everyone, after a look at what that does. */
export function AddForAll({
  assessment,
  edition,
  done,
}: {
  assessment: string;
  edition: number;
  done: ReturnType<typeof useDone>;
}) {
  const [typed, setTyped] = useState("");
  const amount = useSettled(typed.trim());
  const wanted: Remedy | null =
    amount === "" || typed.trim() === "" ? null : { what: "ADD", item: null, option: null, amount, edition };
  const remedy = useRemedy(assessment, wanted, done);
  return (
    <MarginPart title={t("If the paper was too hard")}>
      <Field
        label={t("Percentage points to add for everyone")}
        value={typed}
        inputMode="decimal"
        onChange={(e) => setTyped(e.target.value)}
        className="mb-3"
      />
      <RemedyEffect wanted={wanted} remedy={remedy} onDone={() => setTyped("")} />
    </MarginPart>
  );
}
