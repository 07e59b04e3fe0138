import { useMutation } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api, ok } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { Sheet } from "../../parts/Sheet";
import { Empty, Trouble } from "../../parts/States";
import { t } from "../../text";
import { type FrameworkFile, type Item, KIND_NAMES, type Kind, newItem } from "./definition";
import { ItemEditor } from "./ItemEditor";
import { ItemRows } from "./ItemRows";
import type { KeyPage } from "./Key";
import { KeyMargin } from "./KeyMargin";
import { oneMoreLike } from "./quick/again";
import { SeveralAtOnce } from "./quick/SeveralAtOnce";
import { WholeIntoBank } from "./WholeIntoBank";

const NEW: [Kind, string][] = [
  ["choice", "C"],
  ["text", "T"],
  ["number", "N"],
  ["blanks", "B"],
  ["pairs", "M"],
  ["order", "R"],
  ["spot", "P"],
  ["correction", "S"],
  ["formula", "F"],
  ["working", "W"],
  ["open", "O"],
  ["passage", "G"],
];

/** The items as rows and the chosen one beside them; in the margin how it scores and what a tried answer gets. */
export function Items({ assessment, view, draft }: KeyPage) {
  const [params, setParams] = useSearchParams();
  const items = draft.definition.items;
  const chosen = items.find((i) => i.id === params.get("item")) ?? items[0];
  const choose = (id: string | undefined) => {
    const next = new URLSearchParams(params);
    id ? next.set("item", id) : next.delete("item");
    setParams(next, { replace: true });
  };
  const add = (kind: Kind) => {
    const part = draft.definition.parts?.at(-1)?.id;
    const item = { ...newItem(kind, items), ...(part && kind !== "passage" ? { part } : {}) };
    draft.change((d) => ({ ...d, items: [...d.items, item] }));
    choose(item.id);
  };
  const again = (like: Item) => {
    const item = oneMoreLike(like, items);
    draft.change((d) => ({
      ...d,
      items: d.items.flatMap((i) => (i.id === like.id ? [i, item] : [i])),
    }));
    choose(item.id);
  };
  const replace = (item: Item) =>
    draft.change((d) => ({ ...d, items: d.items.map((i) => (i.id === item.id ? item : i)) }));
  const remove = (item: Item) => {
    const at = items.indexOf(item);
    draft.change((d) => ({ ...d, items: d.items.filter((i) => i.id !== item.id) }));
    choose(items[at + 1]?.id ?? items[at - 1]?.id);
  };
  const move = (by: number) =>
    choose(items[items.findIndex((i) => i.id === chosen?.id) + by]?.id ?? chosen?.id);
  useKeys([
    ["j", t("next item"), () => move(1)],
    ["k", t("previous item"), () => move(-1)],
    ["ArrowDown", "", () => move(1)],
    ["ArrowUp", "", () => move(-1)],
    ["u", t("undo"), draft.undo],
    ["Shift U", t("redo"), draft.redo],
    ["l", t("one more like this"), () => chosen && again(chosen)],
    ...NEW.map(([kind, key]): [string, string, () => void] => [
      key.toLowerCase(),
      t("new item: {{kind}}", { kind: t(KIND_NAMES[kind]) }),
      () => add(kind),
    ]),
  ]);
  const bank = useMutation({
    mutationFn: (item: Item) =>
      ok(
        api.POST("/api/bank/items", {
          body: { definition: item as object as Record<string, never>, folder: null, assessment },
        }),
      ),
  });
  const place = items.findIndex((i) => i.id === chosen?.id);
  const faults = draft.faults
    .filter((f) => f.path.startsWith(`items[${place}].`))
    .map((f) => ({ path: f.path.replace(/^items\[\d+]\./, ""), message: f.message }));
  return (
    <Sheet
      margin={
        <KeyMargin key={chosen?.id} assessment={assessment} draft={draft} item={chosen} onChange={replace}>
          {bank.isSuccess && bank.variables?.id === chosen?.id && (
            <p role="status" className="mb-3">
              {t("Copied to your bank.")}{" "}
              <Link className="underline" to="/bank">
                {t("Open it there")}
              </Link>
            </p>
          )}
          <Trouble error={bank.error} />
        </KeyMargin>
      }
    >
      <div className="flex min-h-full flex-col lg:flex-row">
        <div className="shrink-0 border-rule lg:w-[322px] lg:border-r">
          <ItemRows
            items={items}
            chosen={chosen?.id}
            faults={draft.faults}
            broken={draft.broken}
            onChoose={choose}
          />
          <NewItems onAdd={add} assessment={assessment} givenOut={draft.givenOut} empty={items.length === 0}>
            {items.length > 1 && (
              <SeveralAtOnce
                items={items}
                frameworks={view.frameworks as FrameworkFile[]}
                onChange={(next) => draft.change((d) => ({ ...d, items: next }))}
              />
            )}
          </NewItems>
        </div>
        <div className="min-w-0 flex-1 lg:sticky lg:top-0 lg:max-h-screen lg:self-start lg:overflow-y-auto">
          {chosen ? (
            <ItemEditor
              key={chosen.id}
              item={chosen}
              items={items}
              number={items.filter((i) => i.kind !== "passage").indexOf(chosen) + 1}
              frameworks={view.frameworks as FrameworkFile[]}
              faults={faults}
              onChange={replace}
              onRemove={() => remove(chosen)}
              onBank={() => bank.mutate(chosen)}
              onAgain={() => again(chosen)}
            />
          ) : (
            <Empty title={t("Your items will appear here.")}>
              {t(
                "Choose a kind under “Add an item”, for example choice or short text. Everything is saved as you type.",
              )}
            </Empty>
          )}
        </div>
      </div>
    </Sheet>
  );
}

function NewItems({
  onAdd,
  assessment,
  givenOut,
  empty,
  children,
}: {
  onAdd: (kind: Kind) => void;
  assessment: string;
  givenOut: boolean;
  empty: boolean;
  children?: React.ReactNode;
}) {
  return (
    <div className="px-4 py-4">
      <h2 className="mb-2 text-small font-semibold text-soft">{t("Add an item")}</h2>
      <div className="flex flex-wrap gap-2">
        {NEW.map(([kind, key]) => (
          <Button key={kind} look="quiet" hotkey={key} onClick={() => onAdd(kind)}>
            {t(KIND_NAMES[kind])}
          </Button>
        ))}
      </div>
      {!givenOut && (
        <Link className="mt-3 inline-block underline" to={`/bank?into=${assessment}`}>
          {t("Add items from the bank")}
        </Link>
      )}
      {children}
      <WholeIntoBank assessment={assessment} disabled={empty} />
    </div>
  );
}
