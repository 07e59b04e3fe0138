import { TextButton } from "../../../parts/Button";
import { t } from "../../../text";
import { Box } from "./boxes";
import { codeOnBoard, newCode } from "./draft";

/** A code that stands on the board, which everybody types before they begin. */
export function Code({ code, onChange }: { code: string; onChange: (code: string) => void }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
      <Box
        label={t("Code for the board")}
        value={code}
        className="w-36 uppercase"
        autoComplete="off"
        spellCheck={false}
        onChange={(e) => onChange(e.target.value)}
      />
      {code ? (
        <>
          <strong className="font-script text-title tracking-widest">
            {codeOnBoard(code.toUpperCase())}
          </strong>
          <TextButton onClick={() => onChange("")}>{t("No code")}</TextButton>
        </>
      ) : (
        <TextButton onClick={() => onChange(newCode())}>{t("Make a code")}</TextButton>
      )}
    </div>
  );
}
