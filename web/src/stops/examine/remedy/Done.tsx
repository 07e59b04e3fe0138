import { TextButton } from "../../../parts/Button";
import { Kbd, useKeys } from "../../../parts/Keys";
import { Trouble } from "../../../parts/States";
import { Work } from "../../../parts/Work";
import { t } from "../../../text";
import type { useDone } from "./useDone";

/** What was done last, and the way back. */
export function Done({ done }: { done: ReturnType<typeof useDone> }) {
  useKeys([["u", t("undo what was done here"), () => void done.undo()]]);
  const job = done.undoing.data?.job ?? null;
  return (
    <>
      {done.last && (
        <p role="status" className="mb-3 text-small">
          {t("Done: {{what}}.", { what: done.last.words })}{" "}
          <TextButton className="min-h-6" onClick={done.undo} disabled={done.undoing.isPending}>
            {t("Undo")} <Kbd>U</Kbd>
          </TextButton>
        </p>
      )}
      <Trouble error={done.undoing.error} />
      {job && <Work key={job} id={job} />}
    </>
  );
}
