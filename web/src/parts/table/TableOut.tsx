import { useState } from "react";
import { t } from "../../text";
import { TextButton } from "../Button";
import { toCsv, toTabs } from "./out";

/** A table leaves as it is shown: copied to paste into a spreadsheet, or downloaded as CSV. */
export function TableOut({ name, rows }: { name: string; rows: () => string[][] }) {
  const [said, setSaid] = useState("");
  const copy = () =>
    navigator.clipboard
      .writeText(toTabs(rows()))
      .then(() => setSaid(t("Copied")))
      .catch(() => setSaid(t("Copying is not allowed here. Download it instead.")));
  const download = () => {
    const url = URL.createObjectURL(new Blob(["\ufeff", toCsv(rows())], { type: "text/csv;charset=utf-8" }));
    const link = document.createElement("a");
    link.href = url;
    link.download = `${name}.csv`;
    link.click();
    URL.revokeObjectURL(url);
  };
  return (
    <span className="flex gap-x-3">
      <TextButton
        className="min-h-6"
        aria-label={t("Copy {{what}}", { what: name })}
        onClick={() => void copy()}
      >
        {t("Copy")}
      </TextButton>
      <TextButton className="min-h-6" aria-label={t("Download {{what}}", { what: name })} onClick={download}>
        {t("Download")}
      </TextButton>
      <span role="status">{said}</span>
    </span>
  );
}
