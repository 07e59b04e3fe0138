import type { ReactNode } from "react";
import { Link } from "react-router";
import { t } from "../../text";

/** The bank's name, and the way between its items and its rubrics. */
export function BankHead({ at, children }: { at: "items" | "rubrics"; children?: ReactNode }) {
  const way = (to: string, name: string, here: boolean) => (
    <Link
      to={to}
      aria-current={here ? "page" : undefined}
      className={here ? "border-b-2 border-ink font-semibold" : "text-soft underline underline-offset-2"}
    >
      {name}
    </Link>
  );
  return (
    <div className="mb-3 flex flex-wrap items-baseline gap-6">
      <h1 className="font-script text-title font-semibold">{t("Bank")}</h1>
      <nav aria-label={t("in the bank")} className="flex gap-4">
        {way("/bank", t("Items"), at === "items")}
        {way("/bank?view=rubrics", t("Rubrics"), at === "rubrics")}
      </nav>
      {children}
    </div>
  );
}
