import type { Schemas } from "../../api/client";

type View = Schemas["ReadView"];
type ReadAnswer = Schemas["ReadAnswer"];

/** Whether it waits for this reader: where two read it, each for themselves. */
export const unread = (a: ReadAnswer): boolean => (a.second ? a.second.blind : a.mark.state === "read");

/** The page after an answer was read: its mark, and how many of its question are left. */
export function afterReading(view: View, saved: ReadAnswer): View {
  const before = view.answers.find((a) => a.answer === saved.answer);
  const answers = view.answers.map((a) => (a.answer === saved.answer ? saved : a));
  const fewer = before ? Number(unread(before)) - Number(unread(saved)) : 0;
  return {
    ...view,
    answers,
    questions: view.questions.map((q) => (q.item === view.item ? { ...q, unread: q.unread - fewer } : q)),
  };
}
