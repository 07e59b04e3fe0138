import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../../api/client";
import { t } from "../../../text";

export type View = Schemas["MonitorView"];
export type Row = View["rows"][number];

/** Something done while a sitting runs, in words, and how it is undone. */
type Done = { words: string; undo: () => Promise<unknown> };

export const nameOf = (row: Row): string => `${row.given} ${row.family}`;

const attempt = (id: string) => ({ params: { path: { attempt: id } } });
const sitting = (id: string) => ({ params: { path: { sitting: id } } });

const more = (id: string, minutes: number) =>
  ok(api.POST("/api/attempts/{attempt}/more", { ...attempt(id), body: { minutes } }));
const setAside = (id: string) => ok(api.POST("/api/attempts/{attempt}/set-aside", attempt(id)));
const putBack = (id: string) => ok(api.POST("/api/attempts/{attempt}/put-back", attempt(id)));
const reopen = (id: string, minutes: number) =>
  ok(api.POST("/api/attempts/{attempt}/reopen", { ...attempt(id), body: { minutes } }));
const stand = (id: string, attempts: string[], way: "pause" | "go-on") =>
  ok(api.POST(`/api/sittings/{sitting}/${way}`, { ...sitting(id), body: { attempts } }));

const MORE = 5;
const REOPENED = 10;
const SHORTEST = 1;

/** What a teacher does while a sitting runs; the last of it can be undone, one after the other. */
export function useRunning() {
  const client = useQueryClient();
  const [done, setDone] = useState<Done[]>([]);
  const doing = useMutation({
    mutationFn: (work: () => Promise<Done | null>) => work(),
    onSuccess: (one) => one && setDone((before) => [...before, one]),
    onSettled: () => client.invalidateQueries({ queryKey: ["assessment"] }),
  });
  const undoing = useMutation({
    mutationFn: (one: Done) => one.undo(),
    onSuccess: () => setDone((before) => before.slice(0, -1)),
    onSettled: () => client.invalidateQueries({ queryKey: ["assessment"] }),
  });
  const act = (
    words: string,
    work: () => Promise<() => Promise<unknown>>,
    onDone: () => void = () => undefined,
  ) => doing.mutate(async () => ({ words, undo: await work() }), { onSuccess: onDone });
  const last = done.at(-1);
  return {
    pending: doing.isPending || undoing.isPending,
    error: undoing.error ?? doing.error,
    last,
    undo: () => last && undoing.mutate(last),
    more: (row: Row) =>
      row.attempt &&
      act(t("{{count}} minutes more for {{name}}", { count: MORE, name: nameOf(row) }), async () => {
        const id = row.attempt as string;
        await more(id, MORE);
        return () => more(id, -MORE);
      }),
    moreForAll: (line: View["sittings"][number], isOver: boolean) =>
      act(t("{{count}} minutes more for all", { count: isOver ? REOPENED : MORE }), async () => {
        const minutes = isOver ? REOPENED : MORE;
        await ok(api.POST("/api/sittings/{sitting}/time", { ...sitting(line.id), body: { minutes } }));
        return isOver
          ? () =>
              ok(
                api.PUT("/api/sittings/{sitting}/times", {
                  ...sitting(line.id),
                  body: {
                    opens: line.opens,
                    closes: line.closes,
                    minutes: line.minutes,
                    lateUntil: line.lateUntil,
                  },
                }),
              )
          : () =>
              ok(api.POST("/api/sittings/{sitting}/time", { ...sitting(line.id), body: { minutes: -MORE } }));
      }),
    pause: (rows: Row[]) => {
      const first = rows[0];
      const attempts = rows.flatMap((row) => row.attempt ?? []);
      if (!first) {
        return;
      }
      const words =
        rows.length > 1
          ? t("a pause for {{count}} students", { count: rows.length })
          : t("a pause for {{name}}", { name: nameOf(first) });
      act(words, async () => {
        await stand(first.sitting, attempts, "pause");
        return () => stand(first.sitting, attempts, "go-on");
      });
    },
    goOn: (rows: Row[]) => {
      const first = rows[0];
      const attempts = rows.flatMap((row) => row.attempt ?? []);
      if (first) {
        act(t("going on"), async () => {
          await stand(first.sitting, attempts, "go-on");
          return () => stand(first.sitting, attempts, "pause");
        });
      }
    },
    handIn: (row: Row, minutesLeft: number) =>
      row.attempt &&
      act(t("handing in for {{name}}", { name: nameOf(row) }), async () => {
        const id = row.attempt as string;
        await ok(api.POST("/api/attempts/{attempt}/take-in", attempt(id)));
        return () => reopen(id, Math.max(SHORTEST, Math.ceil(minutesLeft)));
      }),
    reopen: (row: Row) =>
      row.attempt &&
      act(t("opening again for {{name}}", { name: nameOf(row) }), async () => {
        const id = row.attempt as string;
        await reopen(id, REOPENED);
        return () => putBack(id);
      }),
    setAside: (row: Row) =>
      row.attempt &&
      act(t("setting the attempt of {{name}} aside", { name: nameOf(row) }), async () => {
        const id = row.attempt as string;
        await setAside(id);
        return () => putBack(id);
      }),
    /** @param onSaid what was typed is theirs until then */
    say: (line: View["sittings"][number], row: Row | null, words: string, onSaid: () => void) =>
      act(
        row ? t("a line to {{name}}", { name: nameOf(row) }) : t("a line to all"),
        async () => {
          const said = await ok(
            api.POST("/api/sittings/{sitting}/lines", {
              ...sitting(line.id),
              body: { student: row?.student ?? null, words },
            }),
          );
          return () =>
            ok(
              api.DELETE("/api/sittings/{sitting}/lines/{line}", {
                params: { path: { sitting: line.id, line: said.line } },
              }),
            );
        },
        onSaid,
      ),
  };
}

/** Letters to those who have not begun: what is sent cannot be undone, so it is no part of the list above. */
export function useReminder() {
  return useMutation({
    mutationFn: (id: string) => ok(api.POST("/api/sittings/{sitting}/remind", sitting(id))),
  });
}
