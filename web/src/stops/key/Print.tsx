import { useState } from "react";
import { Choose } from "../../parts/Choose";
import { MarginPart } from "../../parts/Sheet";
import { t } from "../../text";

const SHUFFLED = 4;

/** The paper and its key as PDF, as written or in shuffled versions that agree with their keys. */
export function Print({ assessment }: { assessment: string }) {
  const [version, setVersion] = useState("0");
  const path = (answers: boolean) =>
    `/api/assessments/${assessment}/print?answers=${answers}&version=${version}`;
  return (
    <MarginPart title={t("Print as PDF")}>
      <Choose
        label={t("order")}
        value={version}
        options={[
          ["0", t("as written")],
          ...Array.from({ length: SHUFFLED }, (_, i): [string, string] => [
            String(i + 1),
            t("version {{letter}}, shuffled", { letter: String.fromCharCode(65 + i) }),
          ]),
        ]}
        onChange={setVersion}
      />
      <p className="mt-2 flex gap-4">
        <a className="underline" href={path(false)} target="_blank" rel="noreferrer">
          {t("Question paper")}
        </a>
        <a className="underline" href={path(true)} target="_blank" rel="noreferrer">
          {t("Key")}
        </a>
      </p>
    </MarginPart>
  );
}
