import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors } from "@dnd-kit/core";
import type { ReactNode } from "react";
import { Another } from "../../../parts/Another";
import { TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { whole } from "../../../parts/Field";
import { t } from "../../../text";
import { freeId, type Item, type Named, pairsOf, put, withPairs } from "../definition";
import type { KeyProps } from "../ItemEditor";

const RULES: [string, string][] = [
  ["each", "each right pair counts"],
  ["net", "wrong pairs take away"],
  ["exact", "all or nothing"],
];

/** What belongs to what: a label is dragged onto its row, or chosen there from the keyboard. */
export function PairsKey({ item, onChange }: KeyProps) {
  const left = item.left ?? [];
  const right = item.right ?? [];
  const pairs = pairsOf(item);
  const several = (item.perLeft ?? 1) > 1;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 3 } }));
  const pair = (l: string, r: string) => {
    const others = several ? pairs : pairs.filter((p) => p[0] !== l);
    if (!others.some((p) => p[0] === l && p[1] === r)) {
      onChange(grown(withPairs(item, [...others, [l, r]])));
    }
  };
  const unpair = (l: string, r: string) =>
    onChange(
      withPairs(
        item,
        pairs.filter((p) => p[0] !== l || p[1] !== r),
      ),
    );
  return (
    <DndContext
      sensors={sensors}
      onDragEnd={({ active, over }) => over && pair(String(over.id), String(active.id))}
    >
      <div className="grid gap-6 md:grid-cols-2">
        <section aria-label={t("Rows")}>
          <h3 className="text-small font-semibold text-soft">{t("Rows")}</h3>
          {left.map((l) => (
            <Row key={l.id} id={l.id}>
              <Name
                named={l}
                label={t("what is matched")}
                onText={(text) => onChange({ ...item, left: renamed(left, l.id, text) })}
                onOut={() =>
                  onChange(
                    withPairs(
                      { ...item, left: left.filter((o) => o.id !== l.id) },
                      pairs.filter((p) => p[0] !== l.id),
                    ),
                  )
                }
              />
              <div className="flex flex-wrap items-center gap-2 pb-1 pl-4">
                <span aria-hidden="true" className="text-soft">
                  →
                </span>
                {pairs
                  .filter((p) => p[0] === l.id)
                  .map(([, r]) => (
                    <button
                      key={r}
                      type="button"
                      className="rounded-corner bg-by-rule-wash px-2 py-0.5 font-script text-by-rule"
                      onClick={() => unpair(l.id, r ?? "")}
                    >
                      {nameOf(right, r)} <span aria-hidden="true">−</span>
                      <span className="sr-only">{t("Remove")}</span>
                    </button>
                  ))}
                <select
                  aria-label={t("{{left}} goes with", { left: l.text || l.id })}
                  value=""
                  className="rounded-corner border border-rule bg-sheet px-1 text-soft"
                  onChange={(e) => e.target.value && pair(l.id, e.target.value)}
                >
                  <option value="">{t("goes with…")}</option>
                  {right.map((r) => (
                    <option key={r.id} value={r.id}>
                      {r.text || r.id}
                    </option>
                  ))}
                </select>
              </div>
            </Row>
          ))}
          <Another
            label={t("Add a row")}
            onAdd={(text) => onChange({ ...item, left: [...left, { id: freeId("l", left), text }] })}
          />
        </section>
        <section aria-label={t("With what")}>
          <h3 className="text-small font-semibold text-soft">{t("Labels (drag each one to its row)")}</h3>
          {right.map((r) => (
            <Draggable key={r.id} id={r.id} name={r.text}>
              <Name
                named={r}
                label={t("with what it is matched")}
                onText={(text) => onChange({ ...item, right: renamed(right, r.id, text) })}
                onOut={() =>
                  onChange(
                    withPairs(
                      { ...item, right: right.filter((o) => o.id !== r.id) },
                      pairs.filter((p) => p[1] !== r.id),
                    ),
                  )
                }
              />
            </Draggable>
          ))}
          <Another
            label={t("Add a label")}
            onAdd={(text) => onChange({ ...item, right: [...right, { id: freeId("r", right), text }] })}
          />
        </section>
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <Choose
          label={t("Scoring rule")}
          value={item.rule ?? "each"}
          options={RULES.map(([id, words]) => [id, t(words)])}
          onChange={(rule) => onChange(put(item, "rule", rule === "each" ? undefined : rule))}
        />
        <Limit
          label={t("Labels on a row, at most")}
          value={item.perLeft ?? 1}
          onChange={(n) => onChange(put(item, "perLeft", n === 1 ? undefined : n))}
        />
        <Limit
          label={t("Rows for a label, at most")}
          value={item.perRight}
          onChange={(n) => onChange(put(item, "perRight", n))}
        />
      </div>
    </DndContext>
  );
}

/** A key that pairs one thing more often than students may lets them do the same. */
function grown(item: Item): Item {
  const most = Math.max(
    item.perLeft ?? 1,
    ...(item.left ?? []).map((l) => pairsOf(item).filter((p) => p[0] === l.id).length),
  );
  return most > (item.perLeft ?? 1) ? { ...item, perLeft: most } : item;
}

const renamed = (all: Named[], id: string, text: string) =>
  all.map((n) => (n.id === id ? { ...n, text } : n));
const nameOf = (all: Named[], id: string | undefined) => all.find((n) => n.id === id)?.text || id;

function Row({ id, children }: { id: string; children: ReactNode }) {
  const { setNodeRef, isOver } = useDroppable({ id });
  return (
    <div ref={setNodeRef} className={`border-b border-rule ${isOver ? "bg-by-rule-wash" : ""}`}>
      {children}
    </div>
  );
}

function Draggable({ id, name, children }: { id: string; name: string; children: ReactNode }) {
  const { setNodeRef, listeners, transform } = useDraggable({ id });
  return (
    <div
      ref={setNodeRef}
      className="flex items-center border-b border-rule bg-sheet"
      style={{ transform: transform ? `translate3d(${transform.x}px, ${transform.y}px, 0)` : undefined }}
    >
      <span
        {...listeners}
        title={t("drag {{name}}", { name })}
        className="cursor-grab touch-none px-1 text-soft"
      >
        ⠿
      </span>
      {children}
    </div>
  );
}

function Name({
  named,
  label,
  onText,
  onOut,
}: {
  named: Named;
  label: string;
  onText: (text: string) => void;
  onOut: () => void;
}) {
  return (
    <span className="flex min-w-0 flex-1 items-center gap-2 py-1">
      <input
        aria-label={label}
        value={named.text}
        className="min-w-0 flex-1 bg-transparent font-script text-words"
        onChange={(e) => onText(e.target.value)}
      />
      <TextButton className="text-small text-soft" onClick={onOut}>
        {t("Remove")} <span className="sr-only">{label}</span>
      </TextButton>
    </span>
  );
}

function Limit({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | undefined;
  onChange: (n: number | undefined) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-small text-soft">
      {label}
      <input
        inputMode="numeric"
        value={value ?? ""}
        placeholder="–"
        className="w-12 rounded-corner border border-rule bg-sheet px-1 py-0.5 text-right text-body text-ink"
        onChange={(e) => onChange(whole(e.target.value) || undefined)}
      />
    </label>
  );
}
