import { useState } from "react";
import { TextButton } from "../../../parts/Button";
import { FileField } from "../../../parts/FileField";
import { MarginPart } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { fileUrl, upload } from "../../../parts/upload";
import { t } from "../../../text";
import { put } from "../definition";
import type { useDraft } from "../useDraft";

/** The questions' own paper, as PDF or pictures; students see it beside their answers. */
export function Questions({ draft }: { draft: ReturnType<typeof useDraft> }) {
  const [fault, setFault] = useState<unknown>(null);
  const questions = draft.definition.questions ?? [];
  const take = (file: File) => {
    setFault(null);
    upload(file).then(
      (kept) =>
        draft.change((d) => ({
          ...d,
          questions: [...(d.questions ?? []), { file: kept.id, name: kept.name, type: kept.type }],
        })),
      setFault,
    );
  };
  return (
    <MarginPart title={t("Question paper")}>
      <ul className="mb-2">
        {questions.map((q) => (
          <li key={q.file} className="flex items-baseline gap-2 border-l-3 border-rule pl-3">
            <a
              className="min-w-0 flex-1 break-words underline"
              href={fileUrl(q.file)}
              target="_blank"
              rel="noreferrer"
            >
              {q.name}
            </a>
            <TextButton
              className="text-small text-soft"
              onClick={() =>
                draft.change((d) =>
                  put(
                    d,
                    "questions",
                    questions.filter((o) => o.file !== q.file),
                  ),
                )
              }
            >
              {t("Remove")}
            </TextButton>
          </li>
        ))}
      </ul>
      <FileField
        label={t("Add the question paper (PDF or picture)")}
        accept="application/pdf,image/png,image/jpeg,image/webp"
        onFile={take}
      />
      <Trouble error={fault} />
    </MarginPart>
  );
}
