import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { api, ok, Problem, type Schemas } from "../../../api/client";
import { WINDOW } from "../../../places/student/onDevice";
import { sectionQuery } from "../../Assessment";
import { type Cells, type Unsaved, without } from "./grid";

type View = Schemas["TypedView"];

const SOON = 400;
const AGAIN = 4_000;

/** What a person types in this window: each window keeps what it has not sent under a name of its own. */
const stores = (assessment: string, me: string) => `scholion.typed:${assessment}:${me}:`;

/** What was typed on this device and is not at the server yet, in this window or in one that is gone. */
function kept(assessment: string, me: string): Unsaved {
  const all: Unsaved = {};
  for (const key of Object.keys(localStorage).filter((k) => k.startsWith(stores(assessment, me)))) {
    for (const [student, cells] of Object.entries(JSON.parse(localStorage.getItem(key) ?? "{}") as Unsaved)) {
      all[student] = { ...all[student], ...cells };
    }
    localStorage.removeItem(key);
  }
  if (Object.keys(all).length > 0) {
    localStorage.setItem(stores(assessment, me) + WINDOW, JSON.stringify(all));
  }
  return all;
}

/** The grid of what is typed: each cell is on this device at once and stays there until the server has it. */
export function useTyped(assessment: string, section: string | null, me: string) {
  const client = useQueryClient();
  const key = ["assessment", assessment, "typed", section];
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/typed", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
  const [unsaved, setUnsaved] = useState<Unsaved>(() => kept(assessment, me));
  const [refused, setRefused] = useState<unknown>(null);
  const waiting = useRef(unsaved);
  const sending = useRef(false);

  const hold = useCallback(
    (next: Unsaved) => {
      waiting.current = next;
      localStorage.setItem(stores(assessment, me) + WINDOW, JSON.stringify(next));
      setUnsaved(next);
    },
    [assessment, me],
  );

  const send = useCallback(async () => {
    const student = Object.keys(waiting.current)[0];
    if (student === undefined || sending.current) {
      return;
    }
    const cells = waiting.current[student] ?? {};
    sending.current = true;
    try {
      await ok(
        api.PUT("/api/assessments/{assessment}/typed/{student}", {
          params: { path: { assessment, student } },
          body: { cells, stays: {} },
        }),
      );
      client.setQueriesData<View>(
        { queryKey: ["assessment", assessment, "typed"] },
        (view) =>
          view && {
            ...view,
            students: view.students.map((s) => (s.student === student ? withCells(s, cells) : s)),
          },
      );
      hold(without(waiting.current, student, cells));
      setRefused(null);
    } catch (error) {
      // Whatever the server will never take is told; it stays on this device all the same.
      error instanceof Problem && error.status !== 401 && error.status < 500 && setRefused(error);
    } finally {
      sending.current = false;
    }
  }, [assessment, client, hold]);

  useEffect(() => {
    if (Object.keys(unsaved).length === 0) {
      return;
    }
    const soon = setTimeout(() => void send(), SOON);
    const again = setInterval(() => void send(), AGAIN);
    return () => {
      clearTimeout(soon);
      clearInterval(again);
    };
  }, [unsaved, send]);

  return {
    query,
    refused,
    waiting: Object.keys(unsaved).length,
    cellsOf: (s: Schemas["TypedStudent"]): Cells => ({ ...s.cells, ...unsaved[s.student] }),
    type: (student: string, item: string, cell: string) =>
      hold({ ...waiting.current, [student]: { ...waiting.current[student], [item]: cell } }),
    /** Mine stays, though the others have something else. */
    stays: async (d: Schemas["TypedDifference"]) => {
      await ok(
        api.PUT("/api/assessments/{assessment}/typed/{student}", {
          params: { path: { assessment, student: d.student } },
          body: { cells: {}, stays: { [d.item]: d.others } },
        }),
      );
      await client.invalidateQueries({ queryKey: ["assessment", assessment, "typed"] });
    },
  };
}

export type Typed = ReturnType<typeof useTyped>;

function withCells(s: Schemas["TypedStudent"], cells: Cells): Schemas["TypedStudent"] {
  const all = Object.entries({ ...s.cells, ...cells }).filter(([, cell]) => cell !== "");
  return { ...s, cells: Object.fromEntries(all) };
}
