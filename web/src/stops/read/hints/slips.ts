import type { Schemas } from "../../../api/client";
import { t } from "../../../text";

type Slip = Schemas["SlipView"];

/** How often each kind of slip is there, in words; of misspelt words those that were meant. */
export function slipsInWords(slips: Slip[]): string[] {
  const of = (kind: Slip["kind"]) => slips.filter((s) => s.kind === kind);
  const count = (kind: Slip["kind"]) => ({ count: of(kind).length });
  const meant = [...new Set(of("SPELLING").flatMap((s) => (s.meant ? [s.meant] : [])))];
  const said: [Slip["kind"], string][] = [
    [
      "SPELLING",
      meant.length > 0
        ? t("{{count}} spelling ({{meant}}?)", { ...count("SPELLING"), meant: meant.join(", ") })
        : t("{{count}} spelling", count("SPELLING")),
    ],
    ["CAPITAL", t("{{count}} small letters at a beginning", count("CAPITAL"))],
    ["TWICE", t("{{count}} words twice", count("TWICE"))],
    ["SPACE", t("{{count}} blanks at a sign", count("SPACE"))],
    ["END", t("no sign at the end")],
  ];
  return said.filter(([kind]) => of(kind).length > 0).map(([, words]) => words);
}
