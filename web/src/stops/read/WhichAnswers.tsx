import type { Schemas } from "../../api/client";
import { Choose } from "../../parts/Choose";
import { t } from "../../text";
import type { Pile } from "./pile";

/** In which order the answers come, and which of them. */
export function WhichAnswers({
  question,
  pile,
  onPile,
}: {
  /** Null where all open answers of a student come together: they have one order, and no levels in common. */
  question: Schemas["OpenQuestion"] | null;
  pile: Pile;
  onPile: (pile: Pile) => void;
}) {
  const levels = (question?.criteria ?? []).flatMap((c) =>
    c.levels.map((l): [string, string] => [
      `${c.id}:${l.id}`,
      t("at {{level}} in {{criterion}}", { level: l.text || l.points, criterion: c.title }),
    ]),
  );
  const { level: _level, ...others } = pile;
  return (
    <span className="flex flex-wrap items-center gap-x-4 gap-y-1">
      {question && (
        <Choose
          label={t("Order")}
          value={pile.order}
          options={[
            ["USUAL", t("as usual")],
            ["LENGTH", t("the shortest first")],
            ["LIKENESS", t("alike next to alike")],
            ["SECTION", t("by section")],
          ]}
          onChange={(order) => onPile({ ...pile, order: order as Pile["order"] })}
        />
      )}
      <Choose
        label={t("Show")}
        value={pile.level ?? pile.show}
        options={[
          ["ALL", t("all")],
          ["UNREAD", t("unread")],
          ["HELD", t("held back")],
          ...(question?.second ? [["DIFFER", t("readers differ")] as [string, string]] : []),
          ...levels,
        ]}
        onChange={(show) =>
          onPile(
            show.includes(":")
              ? { ...others, show: "ALL", level: show }
              : { ...others, show: show as Pile["show"] },
          )
        }
      />
    </span>
  );
}
