import { t } from "../../../text";
import type { Question, Student } from "./useStudents";

/** What of a student's answers does not fit the rest, in words. */
export function fitWords(student: Student, questions: Question[]): string {
  const asked = questions.filter((q) => !q.dropped && q.difficulty.value !== null);
  const hardest = [...asked].sort((a, b) => (a.difficulty.value ?? 0) - (b.difficulty.value ?? 0));
  return student.doesNotFit
    .map(({ number, solved }) =>
      solved
        ? hardest[0]?.number === number
          ? t("has {{n}}, the hardest", { n: number })
          : t("has {{n}}, which few have", { n: number })
        : t("missed {{n}}, which nearly all have", { n: number }),
    )
    .join("; ");
}
