import type { Schemas } from "../../api/client";

type View = Schemas["ReadView"];
type ReadAnswer = Schemas["ReadAnswer"];

/** Whether it waits for this reader: where two read it, each for themselves. */
export const unread = (a: ReadAnswer): boolean => (a.second ? a.second.blind : a.mark.state === "read");

/** Whether it waits for anybody. */
const undecided = (a: ReadAnswer): boolean => (a.second ? !a.second.decided : a.mark.state === "read");

/** The page after an answer was read: its mark, and how many of its question are left, to this reader and to all. */
export function afterReading(view: View, saved: ReadAnswer): View {
  const before = view.answers.find((a) => a.answer === saved.answer);
  const answers = view.answers.map((a) => (a.answer === saved.answer ? saved : a));
  const fewer = (waits: typeof unread) => (before ? Number(waits(before)) - Number(waits(saved)) : 0);
  return {
    ...view,
    answers,
    questions: view.questions.map((q) =>
      q.item === view.item ? { ...q, unread: q.unread - fewer(undecided), mine: q.mine - fewer(unread) } : q,
    ),
  };
}
