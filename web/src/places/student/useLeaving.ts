import { useEffect, useState } from "react";
import { api } from "../../api/client";

/**
 * Counts how often the page is left, where the sitting says so; whether it was left since it was opened. Where full
 * screen is asked for, leaving that is leaving the page.
 */
export function useLeaving(
  attempt: string,
  { leavingCounted, fullScreen }: { leavingCounted: boolean; fullScreen: boolean },
): boolean {
  const [left, setLeft] = useState(false);
  useEffect(() => {
    if (!leavingCounted) {
      return;
    }
    const leave = () => {
      setLeft(true);
      void api
        .POST("/api/student/attempts/{attempt}/left", { params: { path: { attempt } }, keepalive: true })
        .catch(() => undefined);
    };
    const onHidden = () => document.visibilityState === "hidden" && leave();
    const onFullScreen = () =>
      fullScreen && !document.fullscreenElement && document.visibilityState !== "hidden" && leave();
    document.addEventListener("visibilitychange", onHidden);
    document.addEventListener("fullscreenchange", onFullScreen);
    return () => {
      document.removeEventListener("visibilitychange", onHidden);
      document.removeEventListener("fullscreenchange", onFullScreen);
    };
  }, [attempt, leavingCounted, fullScreen]);
  return left;
}
