import { Another } from "../../../parts/Another";
import { TextButton } from "../../../parts/Button";
import { Area } from "../../../parts/Field";
import { t } from "../../../text";
import { linesOf, withLines } from "../definition";
import type { KeyProps } from "../ItemEditor";

/** A faulty sentence and how it reads when it is put right; there may be several ways. */
export function CorrectionKey({ item, onChange }: KeyProps) {
  const accept = linesOf(item);
  return (
    <>
      <Area
        label={t("The faulty sentence")}
        value={item.source ?? ""}
        onChange={(e) => onChange({ ...item, source: e.target.value })}
        className="mb-4"
      />
      <h3 className="text-small font-semibold text-soft">{t("Corrected sentences")}</h3>
      <ul>
        {accept.map((sentence, i) => (
          <li key={i} className="flex items-center gap-3 border-b border-rule py-1">
            <Area
              hidden
              label={t("Corrected sentence")}
              value={sentence}
              className="flex-1"
              onChange={(e) =>
                onChange(
                  withLines(
                    item,
                    accept.map((a, n) => (n === i ? e.target.value : a)),
                  ),
                )
              }
            />
            <TextButton
              className="text-small text-soft"
              onClick={() =>
                onChange(
                  withLines(
                    item,
                    accept.filter((_, n) => n !== i),
                  ),
                )
              }
            >
              {t("Remove")} <span className="sr-only">{t("entry {{n}}", { n: i + 1 })}</span>
            </TextButton>
          </li>
        ))}
      </ul>
      {accept.length === 0 && item.source && (
        <TextButton className="my-2" onClick={() => onChange(withLines(item, [item.source ?? ""]))}>
          {t("Start from the faulty sentence")}
        </TextButton>
      )}
      <Another
        label={t("another right sentence")}
        onAdd={(sentence) => onChange(withLines(item, [...accept, sentence]))}
      />
    </>
  );
}
