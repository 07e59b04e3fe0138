import { useConnection } from "../../api/connection";
import { t } from "../../text";
import { LateState } from "./LateState";
import type { useAutosave } from "./useAutosave";

/** What is safe, told truly and always. */
export function SavedState({ saver }: { saver: ReturnType<typeof useAutosave> }) {
  const connection = useConnection();
  const offline = saver.offline || connection.offline;
  if (saver.refused || saver.late) {
    return <LateState saver={saver} />;
  }
  return (
    <p role="status" className={`text-small ${offline ? "text-waiting" : "text-soft"}`}>
      {offline ? (
        <>
          <strong>{t("No connection. You can keep working.")}</strong>{" "}
          {t("{{count}} answers are saved on this device. They will be sent when the connection is back.", {
            count: saver.unsent,
          })}
        </>
      ) : saver.unsent > 0 ? (
        t("Saving…")
      ) : saver.savedAt ? (
        t("Saved")
      ) : (
        t("Everything you answer is saved as you go.")
      )}
    </p>
  );
}
