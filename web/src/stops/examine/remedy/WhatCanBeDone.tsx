import { useState } from "react";
import { Button } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { useKeys } from "../../../parts/Keys";
import { MarginPart } from "../../../parts/Sheet";
import { useSettled } from "../../../parts/useSettled";
import { t } from "../../../text";
import type { ItemLine } from "../figures/useExamine";
import { RemedyEffect } from "./RemedyEffect";
import { likeliest, waysFor, withOption } from "./remedies";
import type { useDone } from "./useDone";
import { type Remedy, useRemedy } from "./useRemedy";

/** What can be done about the chosen question; each choice shows first what it would do. */
export function WhatCanBeDone({
  assessment,
  edition,
  item,
  done,
}: {
  assessment: string;
  edition: number;
  item: ItemLine;
  done: ReturnType<typeof useDone>;
}) {
  const [what, setWhat] = useState<Remedy["what"] | null>(null);
  const [option, setOption] = useState(() => likeliest(item));
  const [typed, setTyped] = useState("");
  const amount = useSettled(typed.trim());
  const ways = waysFor(item);
  const asksOption = what !== null && withOption(what);
  const complete = what !== null && (what !== "POINTS" || amount !== "") && (!asksOption || option !== null);
  const wanted: Remedy | null = complete
    ? {
        what,
        item: item.item,
        option: asksOption ? option : null,
        amount: what === "POINTS" ? amount : null,
        edition,
      }
    : null;
  const remedy = useRemedy(assessment, wanted, done);
  const choose = (way: Remedy["what"]) => setWhat(what === way ? null : way);
  useKeys([
    ...ways.map(
      (way, i) => [String(i + 1), t(way.words), () => choose(way.what)] as [string, string, () => void],
    ),
  ]);
  return (
    <MarginPart title={t("What can be done")}>
      <div className="grid gap-1.5">
        {ways.map((way, i) => (
          <Button
            key={way.what}
            look={what === way.what ? "plain" : "quiet"}
            aria-pressed={what === way.what}
            hotkey={String(i + 1)}
            className="justify-between text-left"
            onClick={() => choose(way.what)}
          >
            {t(way.words)}
          </Button>
        ))}
      </div>
      {asksOption && (
        <label className="mt-3 block text-small font-semibold text-soft">
          {t("Option")}
          <select
            value={option ?? ""}
            onChange={(e) => setOption(e.target.value)}
            className="mt-1 block w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1.5 font-script text-words font-normal text-ink"
          >
            {item.measures.options.map((o, i) =>
              o.keyed ? null : (
                <option key={o.option} value={o.option}>
                  {item.optionTexts[i]}
                </option>
              ),
            )}
          </select>
        </label>
      )}
      {what === "POINTS" && (
        <Field
          label={t("Points")}
          value={typed}
          inputMode="decimal"
          placeholder={item.points}
          onChange={(e) => setTyped(e.target.value)}
          className="mt-3 w-32"
        />
      )}
      <div className="mt-3">
        <RemedyEffect wanted={wanted} remedy={remedy} onDone={() => setWhat(null)} />
      </div>
    </MarginPart>
  );
}
