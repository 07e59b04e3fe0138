import { Button } from "../../../parts/Button";
import { Effect } from "../../../parts/Effect";
import { Note } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { Work } from "../../../parts/Work";
import { t } from "../../../text";
import { figure } from "../../../text/figures";
import type { Remedy, useRemedy } from "./useRemedy";

/** What a remedy would do, and the button that does it; afterwards what was done, and the way back. */
export function RemedyEffect({
  wanted,
  remedy,
  onDone,
}: {
  wanted: Remedy | null;
  remedy: ReturnType<typeof useRemedy>;
  onDone: () => void;
}) {
  const { preview, make } = remedy;
  const seen = wanted !== null && preview.data && !preview.isPlaceholderData && !preview.error;
  const job = make.data?.effect.job ?? null;
  return (
    <>
      {wanted && preview.data && (
        <>
          <Effect effect={preview.data.effect} by="waiting" />
          <ReliabilityMoves reliability={preview.data.reliability} />
          <p className="my-2">
            <Button
              look="strong"
              disabled={!seen || make.isPending}
              onClick={() => make.mutate(wanted, { onSuccess: onDone })}
            >
              {t("Make edition {{n}}", { n: wanted.edition + 1 })}
            </Button>
          </p>
          <p className="text-small text-soft">{t("Nothing changes before you confirm. It can be undone.")}</p>
        </>
      )}
      <Trouble error={wanted ? (preview.error ?? make.error) : make.error} />
      {job && <Work key={job} id={job} />}
    </>
  );
}

function ReliabilityMoves({ reliability: r }: { reliability: Parameters<typeof moves>[0] }) {
  const words = moves(r);
  return words === "" ? null : (
    <Note>
      <p className="text-small">{words}</p>
    </Note>
  );
}

type Moving = { before: F; after: F; restBefore: F; restAfter: F };
type F = { value: number | null; missing: string | null };

function moves({ before, after, restBefore, restAfter }: Moving): string {
  return [
    (before.value !== null || after.value !== null) &&
      t("Reliability: {{before}} → {{after}}.", {
        before: figure(before.value),
        after: figure(after.value),
      }),
    (restBefore.value !== null || restAfter.value !== null) &&
      t("Correlation with the rest: {{before}} → {{after}}.", {
        before: figure(restBefore.value),
        after: figure(restAfter.value),
      }),
  ]
    .filter(Boolean)
    .join(" ");
}
