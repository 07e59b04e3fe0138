import { useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";

/** What waits for a student, asked again while the page stands open. */
export function useToDo() {
  return useQuery({
    queryKey: ["todo"],
    queryFn: () => ok(api.GET("/api/student/todo")),
    refetchInterval: 30_000,
  });
}

/** Whether something is to be known, or typed, before one begins: that has a page of its own. */
export const isTold = ({ rules, asksCode }: Schemas["ToDoLine"]): boolean =>
  asksCode ||
  rules.words !== "" ||
  !rules.goingBack ||
  rules.mustAnswer ||
  rules.leavingCounted ||
  rules.attempts > 1 ||
  rules.changes ||
  rules.fullScreen ||
  rules.practice !== "NONE";
