import type { Schemas } from "../../api/client";

type View = Schemas["ReadView"];
type ReadAnswer = Schemas["ReadAnswer"];

/** Whether it waits for this reader: where two read it, each for themselves. */
export const unread = (a: ReadAnswer): boolean => (a.second ? a.second.blind : a.mark.state === "read");

/** Whether it waits for anybody. */
const undecided = (a: ReadAnswer): boolean => (a.second ? !a.second.decided : a.mark.state === "read");

/** The page after an answer was read: its mark, and how many of its question are left, to this reader and to all. */
export function afterReading(view: View, saved: ReadAnswer): View {
  const isIt = (a: ReadAnswer) => a.answer === saved.answer && a.item === saved.item;
  const before = view.answers.find(isIt);
  // Whose number it has in a pile that is read by student, its saving does not say.
  const answers = view.answers.map((a) => (isIt(a) ? { ...saved, student: a.student } : a));
  const fewer = (waits: typeof unread) => (before ? Number(waits(before)) - Number(waits(saved)) : 0);
  return {
    ...view,
    answers,
    questions: view.questions.map((q) =>
      q.item === saved.item ? { ...q, unread: q.unread - fewer(undecided), mine: q.mine - fewer(unread) } : q,
    ),
  };
}
