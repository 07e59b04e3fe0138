import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef } from "react";
import { useConnection } from "../api/connection";
import { t } from "../text";

/** Says when the server cannot be reached, and fetches anew what is shown when it can be again. */
export function Connection() {
  const { offline } = useConnection();
  const client = useQueryClient();
  const was = useRef(false);
  useEffect(() => {
    if (was.current && !offline) {
      // Who is signed in is not asked again: whoever is not any more keeps the page and signs in over it.
      void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== "session" });
    }
    was.current = offline;
  }, [offline, client]);
  return (
    <div role="status" className="no-print">
      {offline && (
        <p className="border-b border-waiting bg-waiting-wash px-4 py-2 lg:px-6">
          <strong>{t("No connection.")}</strong>{" "}
          {t(
            "What you see may be older than it was. What you type stays here; save it when the connection is back.",
          )}
        </p>
      )}
    </div>
  );
}
