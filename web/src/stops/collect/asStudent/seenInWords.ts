import type { Schemas } from "../../../api/client";
import { t } from "../../../text";
import { moment } from "../../../text/figures";

type SeenWhen = Schemas["SeenWhen"];

/** What students see of their work, a sentence a moment. */
export function seenInWords(seen: SeenWhen): string[] {
  const kinds: [SeenWhen["score"], string][] = [
    [seen.score, t("score and band")],
    [seen.marks, t("mark of each question")],
    [seen.answers, t("own answers")],
    [seen.notes, t("feedback and comments")],
    [seen.keys, t("right answers")],
  ];
  const at = (when: SeenWhen["score"]) =>
    kinds
      .filter(([w]) => w === when)
      .map(([, kind]) => kind)
      .join(", ");
  const sentences: [string, string][] = [
    [at("AT_HAND_IN"), t("At hand-in: {{what}}.", { what: at("AT_HAND_IN") })],
    [at("ALL_CLOSED"), t("When every time is over: {{what}}.", { what: at("ALL_CLOSED") })],
    [
      at("FROM_DATE"),
      t("From {{when}} on: {{what}}.", { when: seen.from ? moment(seen.from) : "", what: at("FROM_DATE") }),
    ],
    [at("HANDED_BACK"), t("When you hand back: {{what}}.", { what: at("HANDED_BACK") })],
    [at("NEVER"), t("Never: {{what}}.", { what: at("NEVER") })],
  ];
  return sentences.filter(([what]) => what !== "").map(([, words]) => words);
}
