import { Check } from "../../../parts/Field";
import { MathsField } from "../../../parts/MathsField";
import { t } from "../../../text";
import { linesOf, put, withLines } from "../definition";
import type { KeyProps } from "../ItemEditor";
import { Letters, MathsLines } from "./MathsLines";
import { Proposed } from "./Proposed";
import { Share } from "./Share";

/** From a line to its end: the lines between are judged one after the other. */
export function WorkingKey({ item, onChange }: KeyProps) {
  const accept = linesOf(item);
  return (
    <>
      <p className="mb-1 text-small font-semibold text-soft">{t("First line")}</p>
      <MathsField
        label={t("the line to start from")}
        value={item.start ?? ""}
        variables={item.variables ?? []}
        onChange={(start) => onChange({ ...item, start })}
      />
      <Proposed
        line={item.start ?? ""}
        variables={item.variables ?? []}
        taken={accept}
        onTake={(r) => onChange(withLines(item, [...accept, r]))}
      />
      <div className="mt-3">
        <MathsLines
          item={item}
          title={t("Accepted final lines")}
          label={t("accepted end")}
          another={t("another accepted end")}
          onChange={onChange}
        />
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <Letters item={item} onChange={onChange} />
        <Share
          label={t("Credit for the steps")}
          value={item.steps}
          usual="1/2"
          onChange={(v) => onChange(put(item, "steps", v))}
        />
        <Share
          label={t("Credit for the final line")}
          value={item.result}
          usual="1/2"
          onChange={(v) => onChange(put(item, "result", v))}
        />
        <Check
          checked={item.followThrough ?? false}
          onChange={(on) => onChange(put(item, "followThrough", on || undefined))}
        >
          {t("Follow through: after a wrong line, judge the next lines against it")}
        </Check>
      </div>
    </>
  );
}
