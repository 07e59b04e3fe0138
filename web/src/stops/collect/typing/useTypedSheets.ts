import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { api, ok, Problem, type Schemas } from "../../../api/client";
import { useTypedStore } from "../../../parts/typed";
import { sectionQuery } from "../../Assessment";
import { type Cells, together, type Unsaved, without } from "./grid";

type View = Schemas["TypedView"];

const SOON = 400;
const AGAIN = 4_000;

/** The grid of what is typed: each cell is on this device at once and stays there until the server has it. */
export function useTypedSheets(assessment: string, section: string | null) {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: ["assessment", assessment, "typed", section],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/typed", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
  const store = useTypedStore<Unsaved>(`sheets:${assessment}`);
  const [unsaved, setUnsaved] = useState<Unsaved>(() => store.read() ?? {});
  const [refused, setRefused] = useState<unknown>(null);
  const waiting = useRef(unsaved);
  const sending = useRef(false);

  /** Windows of one person share what is not sent: none takes away what another has typed. */
  const change = useCallback(
    (make: (all: Unsaved) => Unsaved) => {
      const next = make(together(store.read() ?? {}, waiting.current));
      waiting.current = next;
      store.keep(Object.keys(next).length === 0 ? null : next);
      setUnsaved(next);
    },
    [store],
  );

  /** Sends a row; whether the next one can be tried. */
  const sendRow = useCallback(
    async (student: string, cells: Cells): Promise<boolean> => {
      try {
        await ok(
          api.PUT("/api/assessments/{assessment}/typed/{student}", {
            params: { path: { assessment, student } },
            body: { cells, stays: {} },
          }),
        );
      } catch (error) {
        const isRefused = error instanceof Problem && error.status !== 401 && error.status < 500;
        // What the server does not take is told; it stays on this device, and holds up no other row.
        isRefused && setRefused(error);
        return isRefused;
      }
      client.setQueriesData<View>(
        { queryKey: ["assessment", assessment, "typed"] },
        (view) =>
          view && {
            ...view,
            students: view.students.map((s) => (s.student === student ? withCells(s, cells) : s)),
          },
      );
      change((all) => without(all, student, cells));
      return true;
    },
    [assessment, client, change],
  );

  const send = useCallback(async () => {
    if (sending.current) {
      return;
    }
    sending.current = true;
    setRefused(null);
    for (const [student, cells] of Object.entries(waiting.current)) {
      if (!(await sendRow(student, cells))) {
        break;
      }
    }
    sending.current = false;
  }, [sendRow]);

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
      change((all) => together(all, { [student]: { [item]: cell } })),
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

export type Typed = ReturnType<typeof useTypedSheets>;

function withCells(s: Schemas["TypedStudent"], cells: Cells): Schemas["TypedStudent"] {
  const all = Object.entries({ ...s.cells, ...cells }).filter(([, cell]) => cell !== "");
  return { ...s, cells: Object.fromEntries(all) };
}
