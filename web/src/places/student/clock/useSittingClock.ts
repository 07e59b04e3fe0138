import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, ok, type Schemas } from "../../../api/client";
import { ahead } from "./warnings";

const ASK_EVERY = 15_000;

/**
 * The time that is left, by the server's clock: a device may go wrong by hours. It is asked again while one works, so
 * that more time arrives by itself, and the end by a teacher's or the clock's hand as well.
 */
export function useSittingClock(paper: Schemas["Paper"]) {
  const client = useQueryClient();
  const [tick, setTick] = useState(() => Date.now());
  const clock = useRef({ ahead: ahead(paper.now, Date.now()), deadline: paper.deadline });
  const [moreUntil, setMoreUntil] = useState<string | null>(null);
  const asked = useQuery({
    queryKey: ["time", paper.attempt],
    queryFn: () =>
      ok(api.GET("/api/student/attempts/{attempt}/time", { params: { path: { attempt: paper.attempt } } })),
    refetchInterval: ASK_EVERY,
    refetchOnWindowFocus: "always",
    initialData: { now: paper.now, deadline: paper.deadline, handedIn: false },
    retry: false,
  });
  const heard = asked.data;
  useEffect(() => {
    if (Date.parse(heard.deadline) > Date.parse(clock.current.deadline)) {
      setMoreUntil(heard.deadline);
    }
    clock.current = { ahead: ahead(heard.now, Date.now()), deadline: heard.deadline };
    if (heard.handedIn) {
      void client.invalidateQueries({ queryKey: ["paper", paper.attempt] });
    }
  }, [heard, client, paper.attempt]);
  useEffect(() => {
    const timer = setInterval(() => setTick(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const left = (Date.parse(clock.current.deadline) - tick - clock.current.ahead) / 1000;
  return { left, isOver: left <= 0, moreUntil };
}
