import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, ok, type Schemas } from "../../../api/client";
import { ahead } from "./warnings";

const ASK_EVERY = 15_000;
/** While one waits for a pause to end. */
const ASK_OFTEN = 4_000;

/**
 * The time that is left, by the server's clock: a device may go wrong by hours. It is asked again while one works, so
 * that more time arrives by itself, and the end by a teacher's or the clock's hand as well.
 *
 * @param paperAt when the paper came to this device, by the device's clock
 */
export function useSittingClock(paper: Schemas["Paper"], paperAt: number) {
  const client = useQueryClient();
  const [tick, setTick] = useState(() => Date.now());
  const { data: heard, dataUpdatedAt: heardAt } = useQuery({
    queryKey: ["time", paper.attempt],
    queryFn: () =>
      ok(api.GET("/api/student/attempts/{attempt}/time", { params: { path: { attempt: paper.attempt } } })),
    refetchInterval: (query) => (query.state.data?.paused ? ASK_OFTEN : ASK_EVERY),
    refetchOnWindowFocus: "always",
    initialData: {
      now: paper.now,
      deadline: paper.deadline,
      handedIn: false,
      paused: paper.rules.paused,
      aside: false,
      asideByStudent: false,
      goesOnIn: null,
      lines: [],
      rules: paper.rules,
    },
    initialDataUpdatedAt: paperAt,
    retry: false,
  });
  useEffect(() => {
    if (heard.handedIn) {
      void client.invalidateQueries({ queryKey: ["paper", paper.attempt] });
    }
  }, [heard.handedIn, client, paper.attempt]);
  useEffect(() => {
    const timer = setInterval(() => setTick(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const serverNow = tick + ahead(heard.now, heardAt);
  const left = (Date.parse(heard.deadline) - serverNow) / 1000;
  const { paused, aside, asideByStudent, goesOnIn, lines } = heard;
  const rules = heard.rules ?? paper.rules;
  const { lateFrom } = rules;
  const moreUntil = Date.parse(heard.deadline) > Date.parse(paper.deadline) ? heard.deadline : null;
  return {
    left,
    isOver: left <= 0 && !paused && !aside,
    moreUntil,
    paused,
    aside,
    asideByStudent,
    goesOnIn,
    lines,
    /** How it is taken from now on: a teacher may change that while one works. */
    rules,
    lateFrom,
    isLate: lateFrom !== null && serverNow > Date.parse(lateFrom),
  };
}
