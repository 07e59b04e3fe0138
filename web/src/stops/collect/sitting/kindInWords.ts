import { t } from "../../../text";
import type { Kind } from "./draft";

/** What students may see of their work, as it is called. */
export function kindInWords(kind: Kind): string {
  const words: Record<Kind, string> = {
    score: t("score and band"),
    standards: t("how far on each standard"),
    marks: t("mark of each question"),
    answers: t("own answers"),
    notes: t("feedback and comments"),
    keys: t("right answers"),
    classFigures: t("how the class did, from eight students on"),
  };
  return words[kind];
}
