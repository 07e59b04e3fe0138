import { Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import type { useAutosave } from "./useAutosave";

/** What becomes of answers that were still on the device when the time was over. */
export function LateState({ saver }: { saver: ReturnType<typeof useAutosave> }) {
  return (
    <div role="status" className="my-4">
      {saver.unsent > 0 && (
        <Note by="waiting">
          {t("{{count}} answers are still on this device. They are sent as soon as there is a connection.", {
            count: saver.unsent,
          })}
        </Note>
      )}
      {saver.late && (
        <Note by="waiting">
          {t(
            "Some of what you wrote in time reached us after the end. It is kept, and your teacher decides whether it counts.",
          )}
        </Note>
      )}
      <Trouble error={saver.refused} />
    </div>
  );
}
