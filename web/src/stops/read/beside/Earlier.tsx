import { Mark } from "../../../parts/Mark";
import { Attachment } from "../../../parts/pages/Attachment";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { differences } from "./differences";
import { useEarlier, type Which } from "./useBeside";

/** What the student said in earlier attempts, with what this answer has otherwise. */
export function Earlier({ which, text, any }: { which: Which; text: string; any: boolean }) {
  const earlier = useEarlier(which, any);
  const all = earlier.data ?? [];
  if (!any || (all.length === 0 && !earlier.error)) {
    return null;
  }
  return (
    <section aria-label={t("Earlier attempts")} className="mt-5 border-t border-rule pt-3">
      <Trouble error={earlier.error} />
      {all.map((e) => (
        <details key={e.attempt} className="mb-3" open={e === all[0]}>
          <summary className="min-h-6 cursor-pointer text-small font-semibold text-soft">
            {t("Attempt {{n}}", { n: e.attempt })}
          </summary>
          <div className="mt-1 max-w-[44rem]">
            {e.mark && (
              <p className="text-small">
                <Mark mark={e.mark} />
              </p>
            )}
            {e.text === "" ? (
              <p className="text-small text-soft">{t("No words")}</p>
            ) : (
              <Compared earlier={e.text} later={text} />
            )}
            {e.attachments.map((file, i) => (
              <Attachment key={file} file={file} number={i + 1} marks={[]} />
            ))}
          </div>
        </details>
      ))}
    </section>
  );
}

/** Both texts in one: what was left out is struck through, what was added is underlined. */
function Compared({ earlier, later }: { earlier: string; later: string }) {
  const parts = differences(earlier, later);
  let at = 0;
  return (
    <>
      <p className="font-script text-words whitespace-pre-wrap">
        {parts.map((part) => {
          const key = `${at++}${part.only}`;
          return part.only === "earlier" ? (
            <del key={key} className="text-soft">
              {part.text}
            </del>
          ) : part.only === "later" ? (
            <ins key={key} className="decoration-2 underline-offset-4">
              {part.text}
            </ins>
          ) : (
            <span key={key}>{part.text}</span>
          );
        })}
      </p>
      <p className="text-small text-soft">
        {parts.some((p) => p.only)
          ? t("Struck through: left out since. Underlined: added since.")
          : t("The same words as now.")}
      </p>
    </>
  );
}
