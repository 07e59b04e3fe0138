import { useQuery } from "@tanstack/react-query";
import { useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { useWhere } from "../Assessment";
import { type FrameworkFile, type Item, KIND_NAMES, newItem } from "./definition";
import { ItemEditor } from "./ItemEditor";
import { ItemRows } from "./ItemRows";
import { KeyMargin } from "./KeyMargin";
import { useDraft } from "./useDraft";

/** The key: items as rows, the chosen one beside them; in the margin how it scores and what a tried answer gets. */
export function Key() {
  const { assessment } = useWhere();
  const query = useQuery({
    queryKey: ["key", assessment],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/key", { params: { path: { assessment } } })),
    refetchOnWindowFocus: false,
    // What is being edited is never replaced under the hands.
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
  });
  return (
    <Loaded query={query}>
      {(view) => <KeyEditor key={`${assessment}:${view.edition}`} assessment={assessment} view={view} />}
    </Loaded>
  );
}

function KeyEditor({ assessment, view }: { assessment: string; view: Schemas["KeyView"] }) {
  const draft = useDraft(assessment, view);
  const [params, setParams] = useSearchParams();
  const items = draft.definition.items;
  const chosen = items.find((i) => i.id === params.get("item")) ?? items[0];
  const choose = (id: string | undefined) => {
    const next = new URLSearchParams(params);
    id ? next.set("item", id) : next.delete("item");
    setParams(next, { replace: true });
  };
  const add = (kind: Item["kind"]) => {
    const item = newItem(kind, items);
    draft.change((d) => ({ ...d, items: [...d.items, item] }));
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
    ["c", t("new item: choice"), () => add("choice")],
    ["t", t("new item: short text"), () => add("text")],
    ["n", t("new item: number"), () => add("number")],
    ["o", t("new item: open"), () => add("open")],
  ]);
  const framework = (view.framework as FrameworkFile | null) ?? undefined;
  return (
    <Sheet
      margin={
        <KeyMargin
          key={chosen?.id}
          assessment={assessment}
          draft={draft}
          item={chosen}
          edition={view.edition}
        />
      }
    >
      <div className="flex min-h-full flex-col lg:flex-row">
        <div className="shrink-0 border-rule lg:w-[322px] lg:border-r">
          <ItemRows items={items} chosen={chosen?.id} faults={draft.faults} onChoose={choose} />
          <NewItems onAdd={add} />
        </div>
        <div className="min-w-0 flex-1">
          {chosen ? (
            <ItemEditor
              key={chosen.id}
              item={chosen}
              number={items.filter((i) => i.kind !== "passage").indexOf(chosen) + 1}
              framework={framework}
              onChange={replace}
              onRemove={() => remove(chosen)}
            />
          ) : (
            <Empty title={t("Your items will stand here.")}>
              {t("Begin with one: choice, short text, number or open. Everything is saved as you type.")}
            </Empty>
          )}
        </div>
      </div>
    </Sheet>
  );
}

function NewItems({ onAdd }: { onAdd: (kind: Item["kind"]) => void }) {
  const kinds: [Item["kind"], string][] = [
    ["choice", "C"],
    ["text", "T"],
    ["number", "N"],
    ["open", "O"],
  ];
  return (
    <div className="px-4 py-4">
      <h2 className="mb-2 text-small font-semibold text-soft">{t("Another item")}</h2>
      <div className="flex flex-wrap gap-2">
        {kinds.map(([kind, key]) => (
          <Button key={kind} look="quiet" hotkey={key} onClick={() => onAdd(kind)}>
            {t(KIND_NAMES[kind] ?? kind)}
          </Button>
        ))}
      </div>
    </div>
  );
}
