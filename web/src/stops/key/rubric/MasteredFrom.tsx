import { Choose } from "../../../parts/Choose";
import { Field } from "../../../parts/Field";
import { t } from "../../../text";
import { type Item, put } from "../definition";
import type { ItemFault } from "../ItemEditor";
import { type Bound, boundOf, levelsOf, masteryOf } from "./mastery";

/** From which level, or from how many points on, an answer counts as mastered. */
export function MasteredFrom({
  item,
  fault,
  onChange,
}: {
  item: Item;
  fault: ItemFault | undefined;
  onChange: (item: Item) => void;
}) {
  const bound = boundOf(item);
  const set = (next: Bound) => onChange(put(item, "mastery", masteryOf(item.rubric, next)));
  const chosen = bound.kind === "level" ? `level:${bound.id}` : bound.kind;
  return (
    <div className="flex items-end gap-3">
      <Choose
        className="pb-1"
        label={t("Mastered from")}
        value={chosen}
        options={[
          ["none", t("not used")],
          ...levelsOf(item.rubric).map((l): [string, string] => [`level:${l.id}`, nameOf(l.id, l.name)]),
          ["points", t("a number of points")],
        ]}
        onChange={(to) =>
          set(
            to === "none"
              ? { kind: "none" }
              : to === "points"
                ? { kind: "points", points: item.points ?? "1" }
                : { kind: "level", id: to.slice("level:".length) },
          )
        }
      />
      {bound.kind === "points" && (
        <Field
          hidden
          label={t("points from which it is mastered")}
          value={bound.points}
          inputMode="decimal"
          className="w-20"
          fault={fault?.message}
          onChange={(e) => set({ kind: "points", points: e.target.value })}
        />
      )}
    </div>
  );
}

function nameOf(id: string, name: string): string {
  const short = name.length > 40 ? `${name.slice(0, 40)}…` : name;
  return short ? t("level {{id}}: {{name}}", { id, name: short }) : t("level {{id}}", { id });
}
