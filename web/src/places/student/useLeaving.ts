import { useEffect, useState } from "react";
import { api } from "../../api/client";

/** Counts how often the page is left, where the sitting says so; whether it was left since it was opened. */
export function useLeaving(attempt: string, counted: boolean): boolean {
  const [left, setLeft] = useState(false);
  useEffect(() => {
    if (!counted) {
      return;
    }
    const onChange = () => {
      if (document.visibilityState === "hidden") {
        setLeft(true);
        void api
          .POST("/api/student/attempts/{attempt}/left", { params: { path: { attempt } }, keepalive: true })
          .catch(() => undefined);
      }
    };
    document.addEventListener("visibilitychange", onChange);
    return () => document.removeEventListener("visibilitychange", onChange);
  }, [attempt, counted]);
  return left;
}
