import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, ok, Problem, type Schemas } from "../../../api/client";
import type { DrawnMark } from "../../../parts/pages/marks";
import { useTypedStore } from "../../../parts/typed";

const AGAIN_MS = 5_000;

export type NewMark = Schemas["NewMark"];
type Waiting = { id: string; mark: NewMark };

/** What is drawn on an answer's attachments; what is not sent stays on this device until it is. */
export function useDrawn({
  assessment,
  item,
  answer,
  names,
  any,
}: {
  assessment: string;
  item: string;
  answer: string;
  names: boolean;
  /** Whether the answer has any attachments. */
  any: boolean;
}) {
  const client = useQueryClient();
  const key = ["drawn", assessment, item, answer, names];
  const params = { path: { assessment, item, answer }, query: { names } };
  const query = useQuery({
    queryKey: key,
    enabled: any,
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/readings/{item}/{answer}/drawn", { params })),
  });
  const store = useTypedStore<Waiting[]>(`drawn:${assessment}:${item}:${answer}`);
  const [waiting, setWaiting] = useState<Waiting[]>(() => store.read() ?? []);
  const [error, setError] = useState<unknown>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    setWaiting(store.read() ?? []);
    setError(null);
  }, [store]);
  const keep = (next: Waiting[]) => {
    store.keep(next.length > 0 ? next : null);
    setWaiting(next);
  };
  const first = waiting[0];
  // One after the other; what another answer's page has left waiting goes when that answer is on the page again.
  // biome-ignore lint/correctness/useExhaustiveDependencies: one send for each that waits, and for each try
  useEffect(() => {
    if (!first) {
      return;
    }
    let gone = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const done = () => {
      const left = (store.read() ?? []).filter((w) => w.id !== first.id);
      store.keep(left.length > 0 ? left : null);
      if (!gone) {
        setWaiting(left);
      }
    };
    ok(
      api.PUT("/api/assessments/{assessment}/readings/{item}/{answer}/drawn/{mark}", {
        params: { ...params, path: { ...params.path, mark: first.id } },
        body: first.mark,
      }),
    ).then(
      () => {
        const drawn: DrawnMark = { ...first.mark, id: first.id, mine: true };
        client.setQueryData<DrawnMark[]>(key, (before) => [
          ...(before ?? []).filter((m) => m.id !== first.id),
          drawn,
        ]);
        setError(null);
        done();
      },
      (reason: unknown) => {
        const refused = reason instanceof Problem && reason.status < 500 && reason.status !== 401;
        if (refused) {
          done();
        } else if (!gone) {
          timer = setTimeout(() => setTries((n) => n + 1), AGAIN_MS);
        }
        if (!gone) {
          setError(reason);
        }
      },
    );
    return () => {
      gone = true;
      clearTimeout(timer);
    };
  }, [first?.id, tries, store]);
  const shown = [
    ...(query.data ?? []).filter((m) => waiting.every((w) => w.id !== m.id)),
    ...waiting.map((w): DrawnMark => ({ ...w.mark, id: w.id, mine: true })),
  ];
  return {
    marks: shown,
    isSaved: waiting.length === 0,
    error: error ?? query.error,
    draw: (mark: NewMark): string => {
      const id = crypto.randomUUID();
      keep([...waiting, { id, mark }]);
      return id;
    },
    remove: async (id: string) => {
      if (waiting.some((w) => w.id === id)) {
        keep(waiting.filter((w) => w.id !== id));
      }
      await removeDrawn({ assessment, item, answer, names }, id);
      await client.invalidateQueries({ queryKey: key });
    },
  };
}

/** Takes a line or a note of one's own away. */
export const removeDrawn = (
  of: { assessment: string; item: string; answer: string; names: boolean },
  mark: string,
) =>
  ok(
    api.DELETE("/api/assessments/{assessment}/readings/{item}/{answer}/drawn/{mark}", {
      params: {
        path: { assessment: of.assessment, item: of.item, answer: of.answer, mark },
        query: { names: of.names },
      },
    }),
  );
