import { useMutation, useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Loaded, Trouble } from "../../parts/States";
import { type Item, keyInShort, kindName } from "../../stops/key/definition";
import { t } from "../../text";
import { figure, moment } from "../../text/figures";
import { ShareWith } from "./ShareWith";
import { Versions } from "./Versions";

/** The chosen item: its key, where it was used and how it did, what is like it, its versions, with whom it is shared. */
export function BankMargin({
  line,
  folders,
  onChanged,
  onEdit,
}: {
  line: Schemas["BankLine"];
  folders: Schemas["Folder"][];
  onChanged: () => void;
  onEdit: () => void;
}) {
  const item = line.definition as Item;
  const path = { params: { path: { item: line.id } } };
  const query = useQuery({
    queryKey: ["bank", "item", line.id, line.version],
    queryFn: () => ok(api.GET("/api/bank/items/{item}", path)),
  });
  const change = useMutation({
    mutationFn: (definition: unknown) =>
      ok(
        api.PUT("/api/bank/items/{item}", {
          ...path,
          body: { definition: definition as Record<string, never>, version: line.version },
        }),
      ),
    onSuccess: onChanged,
  });
  const remove = useMutation({
    mutationFn: () => ok(api.DELETE("/api/bank/items/{item}", path)),
    onSuccess: onChanged,
  });
  const folder = folders.find((f) => f.id === line.folder);
  return (
    <>
      <MarginPart title={`${t(kindName(item))} · ${line.author}${folder ? ` · ${folder.name}` : ""}`}>
        <Note by={item.kind === "open" ? "person" : "rule"}>
          <p className="font-script">{line.prompt}</p>
          <p className="mt-1 font-semibold">{keyInShort(item)}</p>
          {item.options && (
            <ul className="font-script text-small">
              {item.options.map((o) => (
                <li key={o.id}>
                  {item.key?.includes(o.id) ? "● " : "○ "}
                  {o.text}
                </li>
              ))}
            </ul>
          )}
        </Note>
      </MarginPart>
      {line.mayEdit && (
        <p className="mb-4">
          <TextButton className="underline" onClick={onEdit}>
            {t("Edit this item")}
          </TextButton>
        </p>
      )}
      <Trouble error={change.error ?? remove.error} />
      <Loaded query={query}>
        {(view) => (
          <>
            <InUse
              uses={view.uses}
              onTake={line.mayEdit ? (share) => change.mutate({ ...item, difficulty: share }) : undefined}
            />
            {view.alike.length > 0 && (
              <MarginPart title={t("Similar items")}>
                <ul>
                  {view.alike.map((a) => (
                    <li key={a.id} className="border-b border-rule py-1 font-script">
                      {a.prompt}{" "}
                      <span className="font-sans text-small text-soft">
                        {a.author}, {t("similarity {{n}}", { n: figure(Number(a.likeness)) })}
                      </span>
                    </li>
                  ))}
                </ul>
              </MarginPart>
            )}
            <Versions
              versions={view.versions}
              latest={line.version}
              onBack={line.mayEdit ? (v) => change.mutate(v.definition) : undefined}
            >
              {(v) => (
                <span className="block font-script">
                  {(v.definition as Item).prompt} ({keyInShort(v.definition as Item)})
                </span>
              )}
            </Versions>
          </>
        )}
      </Loaded>
      {line.mine && (
        <>
          <ShareWith kind="ITEM" object={line.id} title={t("This item is shared with")} />
          {folder?.mine && (
            <ShareWith
              kind="FOLDER"
              object={folder.id}
              title={t("The folder {{name}} is shared with", { name: folder.name })}
            />
          )}
          <p className="text-small">
            <TextButton className="underline" disabled={remove.isPending} onClick={() => remove.mutate()}>
              {t("Remove from the bank")}
            </TextButton>{" "}
            <span className="text-soft">
              {t("Assessments that use it keep their own copy. You can restore it below the list.")}
            </span>
          </p>
        </>
      )}
    </>
  );
}

function InUse({
  uses,
  onTake,
}: {
  uses: Schemas["UseFigures"][];
  onTake: ((share: string) => void) | undefined;
}) {
  if (uses.length === 0) {
    return (
      <MarginPart title={t("Used")}>
        <p className="text-soft">{t("Not used yet.")}</p>
      </MarginPart>
    );
  }
  return (
    <MarginPart title={t("Where it was used")}>
      <ul className="text-small">
        {uses.map(({ use, measures }) => (
          <li key={use.assessment + use.item} className="border-b border-rule py-1">
            <Link className="underline" to={`/a/${use.assessment}/key?item=${use.item}`}>
              {use.title}
            </Link>{" "}
            <span className="text-soft">
              {t("version {{n}}", { n: use.version })}, {moment(use.at)}
            </span>
            {measures && <Figures measures={measures} onTake={onTake} />}
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}

/** How an item did in one paper; a click takes the share of points as what is expected. */
function Figures({
  measures,
  onTake,
}: {
  measures: Schemas["ItemMeasures"];
  onTake: ((share: string) => void) | undefined;
}) {
  const share = measures.difficulty.value?.toFixed(2);
  return (
    <span className="block">
      {t("{{count}} students", { count: measures.n })}
      {share !== undefined && (
        <> · {t("mean score {{share}}", { share: figure(measures.difficulty.value) })}</>
      )}
      {typeof measures.itemRest.value === "number" && (
        <> · {t("correlation with the rest {{r}}", { r: figure(measures.itemRest.value) })}</>
      )}{" "}
      {onTake && share !== undefined && (
        <TextButton onClick={() => onTake(share)}>{t("Use as the expected mean")}</TextButton>
      )}
    </span>
  );
}
