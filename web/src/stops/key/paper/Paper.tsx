import { useSearchParams } from "react-router";
import { Button, TextButton } from "../../../parts/Button";
import { Choose } from "../../../parts/Choose";
import { Check, Count, Field } from "../../../parts/Field";
import { MarginPart, Note, Sheet } from "../../../parts/Sheet";
import { SortList } from "../../../parts/SortList";
import { t } from "../../../text";
import { points, pointsInWords } from "../../../text/figures";
import { AboutAssessment } from "../about/AboutAssessment";
import { Coverage } from "../Coverage";
import {
  type Definition,
  freeId,
  type Item,
  keyInShort,
  kindName,
  type Part,
  put,
  without,
} from "../definition";
import type { KeyPage } from "../Key";
import { Saving } from "../KeyMargin";
import { withoutPlaces } from "../kinds/blanks";
import { usePaperSums } from "../usePaperSums";
import { Awards } from "./Awards";
import { Bands } from "./Bands";
import { Draws } from "./Draws";
import { Rules } from "./Rules";
import { scaled, spread } from "./weights";

/** The paper: its parts, the order of its items, what they are worth, and the rules by which it is totalled. */
export function Paper({ assessment, draft }: KeyPage) {
  const { definition } = draft;
  const sums = usePaperSums(assessment, definition).data;
  const set = (make: (d: Definition) => Definition) => draft.change(make);
  const parts = definition.parts ?? [];
  const weighted = parts.some((p) => p.weight !== undefined);
  const weightsFault = draft.faults.find((f) => f.path === "parts")?.message;
  return (
    <Sheet
      margin={
        <>
          <MarginPart title={t("The whole assessment")}>
            <Note by="rule">
              {sums && (
                <>
                  {t("{{count}} questions", { count: sums.questions })}, {pointsInWords(sums.points)}
                  {sums.untimed < sums.questions &&
                    `, ${t("{{count}} minutes", { count: Number(sums.minutes) })}`}
                  {sums.untimed > 0 &&
                    `, ${t("{{count}} questions without an expected time", { count: sums.untimed })}`}
                  .
                </>
              )}
            </Note>
          </MarginPart>
          <Coverage covered={sums?.covered ?? []} />
          <AboutAssessment assessment={assessment} />
          <Saving assessment={assessment} draft={draft} />
        </>
      }
    >
      <div className="px-6 py-4">
        <Field
          label={t("Title")}
          value={definition.title}
          className="mb-4 max-w-xl"
          onChange={(e) => set((d) => ({ ...d, title: e.target.value }))}
        />
        {parts.length === 0 ? (
          <Group items={definition.items} onItems={(items) => set((d) => ({ ...d, items }))} />
        ) : (
          parts.map((part, i) => (
            <PartSection
              key={part.id}
              part={part}
              place={i}
              of={parts.length}
              definition={definition}
              sum={sums?.parts.find((p) => p.part === part.id)}
              onChange={set}
            />
          ))
        )}
        <div className="mt-3 flex flex-wrap items-center gap-4">
          <Button look="quiet" onClick={() => set(withPart)}>
            {parts.length === 0 ? t("Divide into parts") : t("Add a part")}
          </Button>
          {parts.length > 0 && (
            <>
              <Check
                checked={weighted}
                onChange={(on) =>
                  set((d) => ({
                    ...d,
                    parts: on ? spread(d.parts ?? []) : (d.parts ?? []).map((p) => without(p, "weight")),
                  }))
                }
              >
                {t("Give the parts weights")}
              </Check>
              {weighted && (
                <span className="flex flex-wrap items-center gap-3">
                  {t("Weights add up to {{sum}}", { sum: points(sums?.weights ?? "0") })}
                  <TextButton onClick={() => set((d) => ({ ...d, parts: spread(d.parts ?? []) }))}>
                    {t("spread evenly")}
                  </TextButton>
                  <TextButton onClick={() => set((d) => ({ ...d, parts: scaled(d.parts ?? []) }))}>
                    {t("scale to 100")}
                  </TextButton>
                </span>
              )}
            </>
          )}
        </div>
        {weightsFault && (
          <p role="alert" className="mt-1 font-semibold text-waiting">
            {weightsFault}
          </p>
        )}
        <section className="mt-6 flex flex-wrap gap-6 border-t border-rule pt-4" aria-label={t("Shuffling")}>
          <Check
            checked={definition.shuffle?.items ?? false}
            onChange={(on) => set((d) => ({ ...d, shuffle: { ...d.shuffle, items: on } }))}
          >
            {t(
              "Shuffle the questions for each student, within each part. A passage stays with its questions.",
            )}
          </Check>
          <Check
            checked={definition.shuffle?.options ?? false}
            onChange={(on) => set((d) => ({ ...d, shuffle: { ...d.shuffle, options: on } }))}
          >
            {t("Shuffle the options too. Options kept last stay last.")}
          </Check>
        </section>
        <Draws
          assessment={assessment}
          definition={definition}
          reports={sums?.draws ?? []}
          faults={draft.faults}
          onChange={set}
        />
        <Rules
          grading={definition.grading ?? {}}
          faults={draft.faults}
          onChange={(grading) => set((d) => ({ ...d, grading }))}
        />
        <Bands
          grading={definition.grading ?? {}}
          faults={draft.faults}
          onChange={(grading) => set((d) => ({ ...d, grading }))}
        />
        <Awards
          awards={definition.awards ?? []}
          faults={draft.faults}
          onChange={(awards) => set((d) => put(d, "awards", awards))}
        />
      </div>
    </Sheet>
  );
}

/** Another part; with the first one, all items stand in it. */
function withPart(d: Definition): Definition {
  const id = freeId("P", d.parts ?? []);
  const first = (d.parts ?? []).length === 0;
  const weighted = d.parts?.some((p) => p.weight !== undefined);
  const part: Part = {
    id,
    title: t("Part {{n}}", { n: (d.parts ?? []).length + 1 }),
    ...(weighted ? { weight: "0" } : {}),
  };
  return {
    ...d,
    parts: [...(d.parts ?? []), part],
    items: first ? d.items.map((i) => ({ ...i, part: id })) : d.items,
  };
}

function PartSection({
  part,
  place,
  of,
  definition,
  sum,
  onChange,
}: {
  part: Part;
  place: number;
  of: number;
  definition: Definition;
  sum: { items: number; points: string } | undefined;
  onChange: (make: (d: Definition) => Definition) => void;
}) {
  const set = (next: Part) =>
    onChange((d) => ({ ...d, parts: (d.parts ?? []).map((p) => (p.id === part.id ? next : p)) }));
  const move = (by: number) =>
    onChange((d) => {
      const parts = [...(d.parts ?? [])];
      parts.splice(place + by, 0, ...parts.splice(place, 1));
      return { ...d, parts };
    });
  const remove = () =>
    onChange((d) => {
      const parts = (d.parts ?? []).filter((p) => p.id !== part.id);
      const into = parts[0]?.id;
      const moved = (i: Item) => (i.part !== part.id ? i : into ? { ...i, part: into } : without(i, "part"));
      return { ...(parts.length > 0 ? { ...d, parts } : without(d, "parts")), items: d.items.map(moved) };
    });
  const own = definition.items.filter((i) => i.part === part.id);
  return (
    <section className="mb-6" aria-label={part.title}>
      <div className="mb-1 flex flex-wrap items-end gap-3">
        <Field
          label={t("Part")}
          value={part.title}
          className="min-w-40 flex-1"
          onChange={(e) => set({ ...part, title: e.target.value })}
        />
        {part.weight !== undefined && (
          <Field
            label={t("Weight")}
            value={part.weight}
            className="w-20"
            onChange={(e) => set({ ...part, weight: e.target.value })}
          />
        )}
        <Count
          label={t("Count only the best")}
          value={part.best}
          placeholder={t("all")}
          className="w-36"
          onChange={(n) => set(put(part, "best", n || undefined))}
        />
        <span className="flex gap-2 pb-1">
          <TextButton disabled={place === 0} onClick={() => move(-1)}>
            {t("up")}
          </TextButton>
          <TextButton disabled={place === of - 1} onClick={() => move(1)}>
            {t("down")}
          </TextButton>
          <TextButton onClick={remove}>{t("Remove")}</TextButton>
        </span>
      </div>
      <Field
        label={t("Instructions")}
        value={part.instructions ?? ""}
        className="mb-2"
        onChange={(e) => set(put(part, "instructions", e.target.value))}
      />
      <Group
        items={own}
        parts={definition.parts ?? []}
        onItems={(items) => onChange((d) => ({ ...d, items: placed(d.items, part.id, items) }))}
        onPart={(id, to) =>
          onChange((d) => ({ ...d, items: d.items.map((i) => (i.id === id ? { ...i, part: to } : i)) }))
        }
      />
      {sum && (
        <p className="mt-1 text-right text-small text-soft">
          {t("{{count}} questions", { count: sum.items })}, {pointsInWords(sum.points)}
        </p>
      )}
    </section>
  );
}

/** The items with those of one part in a new order; the others keep their places. */
function placed(all: Item[], part: string, ordered: Item[]): Item[] {
  const next = [...ordered];
  return all.map((i) => (i.part === part ? (next.shift() as Item) : i));
}

function Group({
  items,
  parts = [],
  onItems,
  onPart,
}: {
  items: Item[];
  parts?: Part[];
  onItems: (items: Item[]) => void;
  onPart?: (id: string, part: string) => void;
}) {
  const [params, setParams] = useSearchParams();
  if (items.length === 0) {
    return <p className="py-2 text-soft">{t("No item stands here yet.")}</p>;
  }
  return (
    <SortList items={items} name={(i) => i.prompt || i.id} onOrder={onItems}>
      {(item) => (
        <>
          <button
            type="button"
            className="min-w-0 flex-1 truncate text-left font-script"
            onClick={() => {
              const next = new URLSearchParams(params);
              next.set("view", "items");
              next.set("item", item.id);
              setParams(next);
            }}
          >
            {item.stem && <span aria-hidden="true">↳ </span>}
            {withoutPlaces(item.prompt ?? "") || keyInShort(item) || item.id}
          </button>
          <span className="text-small text-soft">{t(kindName(item))}</span>
          {parts.length > 1 && onPart && (
            <Choose
              label={t("in")}
              value={item.part ?? ""}
              options={parts.map((p) => [p.id, p.title || p.id])}
              onChange={(to) => onPart(item.id, to)}
            />
          )}
          {item.kind !== "passage" && (
            <input
              aria-label={t("points of {{name}}", { name: item.prompt || item.id })}
              value={item.points ?? ""}
              inputMode="decimal"
              className="w-14 rounded-corner border border-rule bg-sheet px-1 text-right"
              onChange={(e) =>
                onItems(items.map((i) => (i.id === item.id ? { ...i, points: e.target.value } : i)))
              }
            />
          )}
        </>
      )}
    </SortList>
  );
}
