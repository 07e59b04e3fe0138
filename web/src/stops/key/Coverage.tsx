import type { Schemas } from "../../api/client";
import { MarginPart } from "../../parts/Sheet";
import { t } from "../../text";
import { points } from "../../text/figures";

type Covered = Schemas["Covered"];
const NAMED = 12;

/** Items and points by standard, those below included, and what has no item yet. */
export function Coverage({ covered }: { covered: Covered[] }) {
  const there = covered.filter((c) => c.items > 0);
  if (there.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("Standards covered")}>
      <table className="w-full text-small">
        <thead>
          <tr className="text-left text-soft">
            <th scope="col" className="font-normal">
              {t("standard")}
            </th>
            <th scope="col" className="w-12 text-right font-normal">
              {t("items")}
            </th>
            <th scope="col" className="w-14 text-right font-normal">
              {t("points")}
            </th>
          </tr>
        </thead>
        <tbody>
          {there.map((c) => (
            <tr key={c.code} className="border-b border-rule align-top">
              <td className={`py-0.5 ${c.level > 1 ? "pl-3" : ""}`}>
                <strong className="text-standard">{c.code}</strong> {c.text}
              </td>
              <td className="text-right">{c.items}</td>
              <td className="text-right">{points(c.points)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Uncovered codes={covered.filter((c) => c.items === 0).map((c) => c.code)} />
    </MarginPart>
  );
}

function Uncovered({ codes }: { codes: string[] }) {
  if (codes.length === 0) {
    return null;
  }
  const named = codes.slice(0, NAMED).join(", ");
  return (
    <p className="mt-1 text-small text-waiting">
      {codes.length > NAMED
        ? t("No question on {{codes}} and {{n}} more.", { codes: named, n: codes.length - NAMED })
        : t("No question on {{codes}}.", { codes: named })}
    </p>
  );
}
