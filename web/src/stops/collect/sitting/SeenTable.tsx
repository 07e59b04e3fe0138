import { t } from "../../../text";
import { Box } from "./boxes";
import { KINDS, type SittingDraft, type When } from "./draft";
import { kindInWords } from "./kindInWords";

const WHEN: [When, string][] = [
  ["AT_HAND_IN", "at hand-in"],
  ["ALL_CLOSED", "when every time is over"],
  ["FROM_DATE", "from a date"],
  ["HANDED_BACK", "when I hand back"],
  ["NEVER", "never"],
];

/** What students see of their work, and from when on: a row a kind, a column a moment. */
export function SeenTable({
  draft,
  onChange,
}: {
  draft: SittingDraft;
  onChange: (more: Partial<SittingDraft>) => void;
}) {
  const asksDate = KINDS.some((kind) => draft.seen[kind] === "FROM_DATE");
  const early = draft.seen.keys === "AT_HAND_IN";
  return (
    <section className="min-w-0 xl:col-span-2">
      <h2 className="mb-2 text-small font-semibold text-soft" id="seen-when">
        {t("What students see, and when")}
      </h2>
      <div className="overflow-x-auto">
        <table className="w-full" aria-labelledby="seen-when">
          <thead>
            <tr className="border-b border-rule text-left text-small text-soft">
              <th scope="col" className="py-1 font-normal">
                <span className="sr-only">{t("What")}</span>
              </th>
              {WHEN.map(([when, words]) => (
                <th key={when} scope="col" className="px-2 py-1 font-normal">
                  {t(words)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {KINDS.map((kind) => (
              <tr key={kind} className="border-b border-rule">
                <th scope="row" className="py-1.5 pr-3 text-left">
                  {kindInWords(kind)}
                </th>
                {WHEN.map(([when, words]) => (
                  <td key={when} className="px-2">
                    <label className="inline-flex min-h-6 min-w-6 items-center">
                      <input
                        type="radio"
                        name={`seen-${kind}`}
                        className="size-4 accent-by-rule"
                        checked={draft.seen[kind] === when}
                        onChange={() => onChange({ seen: { ...draft.seen, [kind]: when } })}
                      />
                      <span className="sr-only">{`${kindInWords(kind)}: ${t(words)}`}</span>
                    </label>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {asksDate && (
        <p className="mt-2">
          <Box
            label={t("The date:")}
            type="datetime-local"
            value={draft.seenFrom}
            onChange={(e) => onChange({ seenFrom: e.target.value })}
          />
        </p>
      )}
      {early && (
        <p role="status" className="mt-2 text-small text-waiting">
          {t("Whoever hands in first could tell the right answers to those who are still at work.")}
        </p>
      )}
      <p className="mt-2 text-small text-soft">
        {t("What waits to be decided or read is shown as not marked yet. Hand back begins with this table.")}
      </p>
    </section>
  );
}
