import type { ReactNode } from "react";
import { t } from "../text";
import { Choose } from "./Choose";

export type How = { encoding: string; separator: string; sheet: number };
export const AS_FOUND: How = { encoding: "", separator: "", sheet: 0 };

const ENCODINGS = ["UTF-8", "UTF-16LE", "UTF-16BE", "Windows-1252", "ISO-8859-2", "Windows-1251"];

/** How a file was read, and what can be chosen instead: the sheet of a workbook, the letters and signs of a text. */
export function FileReading({
  how,
  encoding,
  sheets,
  onChange,
  children,
}: {
  how: How;
  encoding: string;
  sheets: string[];
  onChange: (how: How) => void;
  /** What else can be read in another way. */
  children?: ReactNode;
}) {
  return (
    <details className="text-small">
      <summary className="cursor-pointer text-soft">{t("Read the file differently")}</summary>
      <div className="mt-2 flex flex-wrap gap-x-5 gap-y-2">
        {sheets.length > 1 && (
          <Choose
            label={t("Sheet")}
            value={String(how.sheet)}
            options={sheets.map((name, i): [string, string] => [String(i), name])}
            onChange={(sheet) => onChange({ ...how, sheet: Number(sheet) })}
          />
        )}
        {sheets.length === 0 && encoding !== "" && (
          <>
            <Choose
              label={t("Letters")}
              value={encoding}
              options={[...new Set([encoding, ...ENCODINGS])].map((e): [string, string] => [e, e])}
              onChange={(next) => onChange({ ...how, encoding: next })}
            />
            <Choose
              label={t("Between cells")}
              value={how.separator}
              options={[
                ["", t("as found")],
                [",", t("comma")],
                [";", t("semicolon")],
                ["\t", t("tab")],
                ["|", t("upright stroke")],
              ]}
              onChange={(separator) => onChange({ ...how, separator })}
            />
          </>
        )}
        {children}
      </div>
    </details>
  );
}
