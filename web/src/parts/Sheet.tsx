import { type ReactNode, useState } from "react";
import { t } from "../text";

/** The page with the work on it, and the margin with what is said about it. On a narrow screen the margin slides up. */
export function Sheet({
  children,
  margin,
  bare = false,
}: {
  children: ReactNode;
  margin: ReactNode;
  bare?: boolean;
}) {
  const [up, setUp] = useState(false);
  return (
    <div className="flex flex-1 lg:pl-6">
      <main
        id="page"
        className={`min-w-0 flex-1 border-rule pb-20 lg:border-l lg:pb-0 ${bare ? "bg-paper" : "bg-sheet"}`}
      >
        {children}
      </main>
      <aside
        aria-label={t("Margin")}
        className={`no-print fixed inset-x-0 bottom-0 z-10 max-h-[70vh] min-h-12 overflow-y-auto border-t-2 border-margin-line bg-paper lg:static lg:z-0 lg:max-h-none lg:w-[345px] lg:shrink-0 lg:overflow-visible lg:border-t-0 lg:border-l-2 ${up ? "pb-6" : ""} lg:pb-0`}
      >
        <button
          type="button"
          className="w-full px-5 py-3 text-left font-semibold lg:hidden"
          aria-expanded={up}
          onClick={() => setUp(!up)}
        >
          {up ? t("Hide the margin") : t("Show the margin")}
        </button>
        <div
          className={`${up ? "" : "hidden lg:block"} px-5 pt-1 lg:sticky lg:top-0 lg:max-h-screen lg:min-h-[calc(100vh-49px)] lg:overflow-y-auto lg:pt-4 lg:pb-6`}
        >
          {margin}
        </div>
      </aside>
    </div>
  );
}

/** A heading of the margin. */
export function MarginPart({ title, children }: { title: ReactNode; children: ReactNode }) {
  return (
    <section className="mb-5">
      <h2 className="mb-2 text-small font-semibold text-soft">{title}</h2>
      {children}
    </section>
  );
}

const BARS = {
  rule: "border-by-rule",
  person: "border-by-person",
  waiting: "border-waiting",
  standard: "border-standard",
  plain: "border-rule",
};

/** Something said in the margin; the bar's colour says who decided. */
export function Note({ by = "plain", children }: { by?: keyof typeof BARS; children: ReactNode }) {
  return <div className={`mb-3 border-l-3 pl-3 ${BARS[by]}`}>{children}</div>;
}
