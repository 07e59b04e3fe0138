import type { Schemas } from "../../../api/client";
import { t } from "../../../text";
import { moment } from "../../../text/figures";
import { KINDS } from "../sitting/draft";
import { kindInWords } from "../sitting/kindInWords";

type SeenWhen = Schemas["SeenWhen"];

/** What students see of their work, a sentence a moment. */
export function seenInWords(seen: SeenWhen): string[] {
  const at = (when: SeenWhen["score"]) =>
    KINDS.filter((kind) => seen[kind] === when)
      .map((kind) => kindInWords(kind))
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
