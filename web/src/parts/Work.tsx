import { useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useEffect, useRef } from "react";
import { api, ok, type Schemas } from "../api/client";
import { t } from "../text";
import { stretch } from "../text/figures";
import { Note } from "./Sheet";

/** Long work in the background: how far it is, how long it still takes, and what came of it. */
export function Work({ id }: { id: string }) {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: ["job", id],
    queryFn: () => ok(api.GET("/api/jobs/{job}", { params: { path: { job: id } } })),
    refetchInterval: (q) => (q.state.data?.state === "RUNNING" || !q.state.data ? 500 : false),
  });
  const began = useRef({ at: Date.now(), done: query.data?.done ?? 0 });
  const job = query.data;
  const ended = job !== undefined && job.state !== "RUNNING";
  const object = job?.object;
  useEffect(() => {
    if (ended && object) {
      void client.invalidateQueries({ queryKey: ["assessment", object] });
      void client.invalidateQueries({ queryKey: ["key", object] });
      void client.invalidateQueries({ queryKey: ["readings", object] });
      void client.invalidateQueries({ queryKey: ["desk"] });
    }
  }, [ended, object, client]);
  if (!job) {
    return null;
  }
  return (
    <div role="status" className="mt-3">
      <Note by={job.state === "STOPPED" ? "waiting" : "person"}>
        {job.state === "RUNNING" ? (
          <Bar job={job} began={began.current}>
            {t("You can leave this page; it goes on and is told on the Desk.")}
          </Bar>
        ) : (
          job.said
        )}
      </Note>
    </div>
  );
}

/** How far work is and how long it still takes. */
export function Bar({
  job,
  began,
  children,
}: {
  job: Schemas["JobView"];
  began: { at: number; done: number };
  children: ReactNode;
}) {
  const pace = (Date.now() - began.at) / Math.max(1, job.done - began.done);
  const left = ((job.total - job.done) * pace) / 1000;
  return (
    <>
      <progress
        className="w-full"
        value={job.done}
        max={job.total}
        aria-label={t("{{done}} of {{total}} done", { done: job.done, total: job.total })}
      />
      <p className="text-small">
        {t("{{done}} of {{total}} done", { done: job.done, total: job.total })}
        {job.done > began.done && ` · ${t("{{left}} left", { left: stretch(left) })}`}
      </p>
      <p className="text-small text-soft">{children}</p>
    </>
  );
}
