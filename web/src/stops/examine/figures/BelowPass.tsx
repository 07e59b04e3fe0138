import { Link, useSearchParams } from "react-router";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { useHeader, useWhere } from "../../Assessment";
import type { View } from "./useExamine";

const FEW = 10;

/** Who lies below the pass mark, the lowest first; each leads to the whole copy. */
export function BelowPass({ view }: { view: View }) {
  const { assessment, section } = useWhere();
  const course = useHeader(assessment, section).data?.course;
  const [params] = useSearchParams();
  if (view.pass === null) {
    return null;
  }
  const one = (b: View["below"][number], i: number) => (
    <span key={b.attempt}>
      {i > 0 && " · "}
      {course ? (
        <Link
          to={`/gradebook/${course}?cell=${b.attempt}`}
          className="font-semibold underline-offset-2 hover:underline"
        >
          {b.name}
        </Link>
      ) : (
        <strong>{b.name}</strong>
      )}{" "}
      {b.percent}
      {b.provisional && "…"}
    </span>
  );
  return (
    <section className="px-5 py-4 text-small" aria-label={t("Below the pass mark")}>
      <span className="text-soft">{t("Below {{pass}}%:", { pass: points(view.pass) })} </span>
      {view.belowPass === 0 && t("nobody")}
      {view.below.slice(0, FEW).map(one)}
      {view.below.length > FEW && (
        <details className="inline">
          <summary className="ml-1 inline cursor-pointer underline">
            {t("and {{n}} more", { n: view.belowPass - FEW })}
          </summary>
          <span>
            {view.below.slice(FEW).map((b) => one(b, 1))}
            {view.belowPass > view.below.length && " …"}
          </span>
        </details>
      )}
      <p className="mt-2">
        <Link
          to={{ pathname: `/a/${assessment}/examine/students`, search: params.toString() }}
          className="underline"
        >
          {t("Who missed what")}
        </Link>
      </p>
    </section>
  );
}
