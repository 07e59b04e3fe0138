import { useState } from "react";
import type { Schemas } from "../api/client";
import { t } from "../text";
import { percent, points } from "../text/figures";
import { TextButton } from "./Button";
import { Note } from "./Sheet";

const FEW = 6;

/** What a change would do, before it is confirmed: who moves, from what to what, who crosses a bound. */
export function Effect({
  effect,
  by = "rule",
}: {
  effect: Schemas["EffectView"];
  by?: "rule" | "person" | "waiting";
}) {
  const [all, setAll] = useState(false);
  const shown = all ? effect.moves : effect.moves.slice(0, FEW);
  return (
    <Note by={by}>
      <p aria-live="polite">{sentence(effect)}</p>
      {effect.moves.length > 0 && <p className="text-small">{measures(effect.measures)}</p>}
      {shown.length > 0 && (
        <table className="mt-2 w-full text-small">
          <caption className="sr-only">{t("Whose score changes")}</caption>
          <thead className="sr-only">
            <tr>
              <th scope="col">{t("Student")}</th>
              <th scope="col">{t("before and after")}</th>
              <th scope="col">{t("band or pass")}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((m) => (
              <tr key={m.student + m.section}>
                <td className="py-px pr-2">{m.student}</td>
                <td className="py-px pr-2 text-right whitespace-nowrap">{fromTo(m)}</td>
                <td className="py-px text-standard">{m.crosses}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {effect.moves.length > FEW && (
        <p className="mt-1 text-small">
          <TextButton onClick={() => setAll(!all)}>
            {all
              ? t("Show fewer")
              : effect.students > effect.moves.length
                ? t("Show {{n}} of {{all}} changes", { n: effect.moves.length, all: effect.students })
                : t("Show all {{count}} changes", { count: effect.moves.length })}
          </TextButton>
        </p>
      )}
    </Note>
  );
}

function sentence(effect: Schemas["EffectView"]): string {
  if (effect.moves.length === 0) {
    return effect.marks === 0
      ? t("No marks change.")
      : t("{{count}} marks change, but nobody’s score does.", { count: effect.marks });
  }
  const sentences = [
    effect.up > 0 && t("{{count}} students go up.", { count: effect.up }),
    effect.down > 0 ? t("{{count}} students go down.", { count: effect.down }) : t("Nobody goes down."),
    effect.nowPass > 0 && t("{{count}} students pass now.", { count: effect.nowPass }),
    effect.noLongerPass > 0 && t("{{count}} students no longer pass.", { count: effect.noLongerPass }),
  ];
  return sentences.filter(Boolean).join(" ");
}

function measures(m: Schemas["Measures"]): string {
  const said = [
    m.meanBefore !== null &&
      m.meanAfter !== null &&
      t("Mean: {{before}} → {{after}}.", { before: percent(m.meanBefore), after: percent(m.meanAfter) }),
    m.passBefore !== null &&
      m.passAfter !== null &&
      t("Passing: {{before}} → {{after}}.", { before: m.passBefore, after: m.passAfter }),
  ];
  return said.filter(Boolean).join(" ");
}

function fromTo(m: Schemas["MoveView"]) {
  const [before, after] =
    m.percentBefore === m.percentAfter
      ? [points(m.scoreBefore), points(m.scoreAfter)]
      : [bare(m.percentBefore), bare(m.percentAfter)];
  return (
    <>
      {before} → <strong>{after}</strong>
    </>
  );
}

function bare(exact: string | null): string {
  return percent(exact).replace("%", "");
}
