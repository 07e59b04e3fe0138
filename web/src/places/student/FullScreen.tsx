import { useEffect, useState } from "react";
import { TextButton } from "../../parts/Button";
import { t } from "../../text";

/** Offers full screen where it is asked for, and a device has it. */
export function FullScreen() {
  const [isFull, setIsFull] = useState(document.fullscreenElement !== null);
  const [refused, setRefused] = useState(false);
  useEffect(() => {
    const onChange = () => setIsFull(document.fullscreenElement !== null);
    document.addEventListener("fullscreenchange", onChange);
    return () => document.removeEventListener("fullscreenchange", onChange);
  }, []);
  if (isFull || !document.fullscreenEnabled) {
    return null;
  }
  return (
    <p role="status" className="mb-3 border-l-4 border-waiting bg-waiting-wash px-3 py-2">
      {refused
        ? t("This device does not allow full screen. Go on without it.")
        : t("Your teacher asks for full screen.")}{" "}
      {!refused && (
        <TextButton
          onClick={() => document.documentElement.requestFullscreen().catch(() => setRefused(true))}
        >
          {t("Go to full screen")}
        </TextButton>
      )}
    </p>
  );
}
