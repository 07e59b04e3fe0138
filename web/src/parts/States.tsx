import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Problem } from "../api/client";
import { t } from "../text";
import { TextButton } from "./Button";
import { Note } from "./Sheet";

/** Loading, error and success of a query as one: the child is only called with data. */
export function Loaded<T>({
  query,
  children,
}: {
  query: UseQueryResult<T>;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) {
    return <>{children(query.data)}</>;
  }
  return query.error ? (
    <div className="p-6">
      <Trouble error={query.error} />
      <TextButton onClick={() => void query.refetch()}>{t("Try again")}</TextButton>
    </div>
  ) : (
    <p className="p-6 text-soft" role="status">
      {t("Loading…")}
    </p>
  );
}

/** What went wrong, in words, with the places that are wrong. */
export function Trouble({ error }: { error: unknown }) {
  if (!error) {
    return null;
  }
  const problem = error instanceof Problem ? error : null;
  return (
    <div role="alert">
      <Note by="waiting">
        <p className="font-semibold text-waiting">
          {problem?.message ??
            t(
              "Scholion cannot be reached. Your last change may not be saved. Check your connection and try again.",
            )}
        </p>
        {problem && problem.places.length > 1 && (
          <ul className="mt-1 text-small">
            {problem.places.slice(0, 12).map((p) => (
              <li key={p.path + p.message}>
                <strong>{p.path}</strong> {p.message}
              </li>
            ))}
          </ul>
        )}
      </Note>
    </div>
  );
}

/** What goes here, and the first step. */
export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="p-6">
      <p className="font-script text-words font-semibold">{title}</p>
      <div className="mt-2 text-soft">{children}</div>
    </div>
  );
}
