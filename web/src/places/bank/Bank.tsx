import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { Sheet } from "../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";
import { BankFilters, NOTHING, type Wanted } from "./BankFilters";
import { BankHead } from "./BankHead";
import { BankMargin } from "./BankMargin";
import { BankRows } from "./BankRows";
import { ChangeHere } from "./ChangeHere";
import { RemovedItems } from "./RemovedItems";
import { Rubrics } from "./rubrics/Rubrics";
import { Twins } from "./Twins";

/** The bank: its items, or the rubrics that are kept in it. */
export function Bank() {
  const [params] = useSearchParams();
  return params.get("view") === "rubrics" ? <Rubrics /> : <Items />;
}

/** Items found by words and filters; the chosen one in the margin; several put into a paper at once. */
function Items() {
  const client = useQueryClient();
  const [params] = useSearchParams();
  const into = params.get("into");
  const draw = params.get("draw");
  const [wanted, setWanted] = useState<Wanted>(NOTHING);
  const [chosen, setChosen] = useState<string | null>(null);
  // While an item is changed the list rests, so that no choice of another throws the change away.
  const [editing, setEditing] = useState<Schemas["BankLine"] | null>(null);
  const [picked, setPicked] = useState<string[]>([]);
  const asked = useDeferredValue(wanted);
  const found = useQuery({
    queryKey: ["bank", asked],
    queryFn: () => ok(api.POST("/api/bank/find", { body: asked })),
    placeholderData: keepPreviousData,
  });
  const folders = useQuery({
    queryKey: ["bank-folders"],
    queryFn: () => ok(api.GET("/api/bank/folders")),
  });
  const rows = found.data?.items ?? [];
  const here = rows.find((r) => r.id === chosen) ?? rows[0];
  const move = (by: number) => {
    const at = rows.findIndex((r) => r.id === here?.id);
    setChosen(rows[at + by]?.id ?? here?.id ?? null);
  };
  const toggle = (id: string) =>
    setPicked(picked.includes(id) ? picked.filter((p) => p !== id) : [...picked, id]);
  useKeys([
    ["j", t("next item"), () => move(1)],
    ["k", t("previous item"), () => move(-1)],
    ["ArrowDown", "", () => move(1)],
    ["ArrowUp", "", () => move(-1)],
    ["x", t("select or unselect the item"), () => here && toggle(here.id)],
  ]);
  const changed = () => {
    void client.invalidateQueries({ queryKey: ["bank"] });
    void client.invalidateQueries({ queryKey: ["bank-folders"] });
  };
  if (editing) {
    return (
      <Sheet margin={null}>
        <div className="px-6 py-4">
          <BankHead at="items" />
          <ChangeHere line={editing} onChanged={changed} onClose={() => setEditing(null)} />
        </div>
      </Sheet>
    );
  }
  return (
    <Sheet
      margin={
        here && (
          <BankMargin
            key={here.id}
            line={here}
            folders={folders.data ?? []}
            onChanged={changed}
            onEdit={() => setEditing(here)}
          />
        )
      }
    >
      <div className="px-6 py-4">
        <BankHead at="items">
          {into && (
            <Link className="underline" to={`/a/${into}/key${draw ? "?view=paper" : ""}`}>
              {t("back to the key")}
            </Link>
          )}
        </BankHead>
        <BankFilters wanted={wanted} folders={folders.data ?? []} onWanted={setWanted} onFolders={changed} />
        {picked.length > 0 && (
          <Picked
            picked={picked}
            into={into}
            draw={draw}
            folders={folders.data ?? []}
            onDone={() => {
              setPicked([]);
              changed();
            }}
          />
        )}
        <Loaded query={found}>
          {({ items, more }) =>
            items.length === 0 ? (
              <Empty title={t("No items found.")}>
                {asked === NOTHING
                  ? t("Add items from a key, one by one or all at once.")
                  : t("Try fewer words, or remove a filter.")}
              </Empty>
            ) : (
              <>
                <BankRows
                  rows={items}
                  chosen={here?.id}
                  picked={picked}
                  onChoose={setChosen}
                  onPick={toggle}
                />
                {more && (
                  <p className="py-2 text-small text-soft">
                    {t("These are the first 100. Add words to narrow the list.")}
                  </p>
                )}
              </>
            )
          }
        </Loaded>
        <Twins onChoose={(prompt) => setWanted({ ...NOTHING, words: prompt })} />
        <RemovedItems onChanged={changed} />
      </div>
    </Sheet>
  );
}

/** What is done with the items that were picked. */
function Picked({
  picked,
  into,
  draw,
  folders,
  onDone,
}: {
  picked: string[];
  into: string | null;
  draw: string | null;
  folders: Schemas["Folder"][];
  onDone: () => void;
}) {
  const [target, setTarget] = useState(into ?? "");
  const papers = useQuery({ queryKey: ["open-papers"], queryFn: openPapers });
  const put = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/bank/put", {
          body: { assessment: target, items: picked, draw: target === into ? draw : null },
        }),
      ),
    onSuccess: onDone,
  });
  const move = useMutation({
    mutationFn: (folder: string) =>
      ok(api.POST("/api/bank/move", { body: { items: picked, folder: folder || null } })),
    onSuccess: onDone,
  });
  const paper = papers.data?.find((p) => p.id === target);
  return (
    <div className="mb-3 border-l-3 border-by-rule bg-by-rule-wash px-3 py-2">
      <p className="mb-2 font-semibold" role="status">
        {t("{{count}} items selected", { count: picked.length })}
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <select
          aria-label={t("paper they are put into")}
          value={target}
          className="rounded-corner border border-rule-strong bg-sheet px-2 py-1"
          onChange={(e) => setTarget(e.target.value)}
        >
          <option value="">{t("Choose an assessment")}</option>
          {papers.data?.map((p) => (
            <option key={p.id} value={p.id}>
              {p.title}
            </option>
          ))}
        </select>
        <Button look="strong" disabled={!target || put.isPending} onClick={() => put.mutate()}>
          {paper
            ? t("Add {{count}} to {{title}}", { count: picked.length, title: paper.title })
            : t("Add to an assessment")}
        </Button>
        <select
          aria-label={t("folder they are moved to")}
          value="-"
          className="rounded-corner border border-rule bg-sheet px-2 py-1"
          onChange={(e) => move.mutate(e.target.value)}
        >
          <option value="-">{t("move to a folder")}</option>
          <option value="">{t("no folder")}</option>
          {folders
            .filter((f) => f.mine)
            .map((f) => (
              <option key={f.id} value={f.id}>
                {f.name}
              </option>
            ))}
        </select>
      </div>
      <Trouble error={put.error ?? move.error} />
    </div>
  );
}

/** Papers that are not given out yet, of all courses. */
async function openPapers() {
  const courses = await ok(api.GET("/api/courses"));
  const lists = await Promise.all(
    courses.map((c) =>
      ok(api.GET("/api/courses/{course}/assessments", { params: { path: { course: c.id } } })),
    ),
  );
  return lists.flat().filter((a) => a.sections.length === 0);
}
