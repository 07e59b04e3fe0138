import { Choose } from "../../../parts/Choose";
import { t } from "../../../text";
import { linesOf, put, withLines } from "../definition";
import type { KeyProps } from "../ItemEditor";
import { Letters, MathsLines } from "./MathsLines";
import { Proposed } from "./Proposed";
import { Share } from "./Share";

/** An expression or equation that an answer has to be worth, and in which form. */
export function FormulaKey({ item, onChange }: KeyProps) {
  const accept = linesOf(item);
  return (
    <>
      <MathsLines
        item={item}
        title={t("Accepted, and anything equal to it")}
        label={t("accepted formula")}
        another={t("another accepted formula")}
        onChange={onChange}
      />
      <Proposed
        line={accept[0] ?? ""}
        variables={item.variables ?? []}
        taken={accept}
        onTake={(r) => onChange(withLines(item, [...accept, r]))}
      />
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <Letters item={item} onChange={onChange} />
        <Choose
          label={t("form")}
          value={item.form ?? "any"}
          options={[
            ["any", t("any form")],
            ["expanded", t("expanded")],
            ["factored", t("factorised")],
            ["lowest", t("in lowest terms")],
          ]}
          onChange={(form) => onChange(put(item, "form", form === "any" ? undefined : form))}
        />
        {item.form && (
          <Share
            label={t("Credit for the right value in another form")}
            value={item.formCredit}
            onChange={(credit) => onChange(put(item, "formCredit", credit))}
          />
        )}
      </div>
    </>
  );
}
