import { useState } from "react";
import { t } from "../text";
import { Button } from "./Button";
import { Area } from "./Field";
import { FileField } from "./FileField";

const ACCEPT = ".csv,.tsv,.txt,.xlsx,.ods,.zip";

/** A table that somebody has: as a file, or pasted from a spreadsheet. */
export function PasteOrFile({
  label,
  onFile,
  accept = ACCEPT,
}: {
  label: string;
  onFile: (file: File) => void;
  accept?: string;
}) {
  const [pasted, setPasted] = useState("");
  return (
    <div className="grid gap-2">
      <FileField accept={accept} label={label} onFile={onFile} />
      <details>
        <summary className="cursor-pointer text-small">{t("Or paste from a spreadsheet")}</summary>
        <Area
          label={t("The pasted rows, with their headings")}
          value={pasted}
          rows={5}
          onChange={(e) => setPasted(e.target.value)}
        />
        <Button
          className="mt-1"
          disabled={pasted.trim() === ""}
          onClick={() => onFile(new File([pasted], t("pasted rows"), { type: "text/plain" }))}
        >
          {t("Read the pasted rows")}
        </Button>
      </details>
    </div>
  );
}
