import { useMutation, useQuery } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Trouble } from "../../parts/States";
import { KIND_NAMES } from "../../stops/key/definition";
import { t } from "../../text";

export type Wanted = Schemas["Wanted"];

export const NOTHING: Wanted = {
  words: null,
  kind: null,
  code: null,
  tag: null,
  folder: null,
  author: null,
  from: null,
  to: null,
  soFar: null,
  used: null,
};

const BOX = "rounded-corner border border-rule bg-sheet px-2 py-1";

/** Words to look for and what narrows the list. */
export function BankFilters({
  wanted,
  folders,
  onWanted,
  onFolders,
}: {
  wanted: Wanted;
  folders: Schemas["Folder"][];
  onWanted: (wanted: Wanted) => void;
  onFolders: () => void;
}) {
  const addFolder = useMutation({
    mutationFn: (name: string) => ok(api.POST("/api/bank/folders", { body: { name } })),
    onSuccess: onFolders,
  });
  const mine = folders.find((f) => f.id === wanted.folder && f.mine);
  const removeFolder = useMutation({
    mutationFn: (folder: string) =>
      ok(api.DELETE("/api/bank/folders/{folder}", { params: { path: { folder } } })),
    onSuccess: () => {
      onWanted({ ...wanted, folder: null });
      onFolders();
    },
  });
  const colleagues = useQuery({ queryKey: ["colleagues"], queryFn: () => ok(api.GET("/api/colleagues")) });
  const set = (name: keyof Wanted, value: unknown) =>
    onWanted({ ...wanted, [name]: value === "" ? null : value });
  const small = (name: "code" | "tag" | "from" | "to", label: string, width: string) => (
    <input
      aria-label={label}
      placeholder={label}
      value={wanted[name] ?? ""}
      className={`${BOX} ${width}`}
      onChange={(e) => set(name, e.target.value)}
    />
  );
  return (
    <div className="mb-3">
      <input
        type="search"
        aria-label={t("words in the item")}
        placeholder={t("words in the question, its options, its answers or tags")}
        value={wanted.words ?? ""}
        className="mb-2 w-full rounded-corner border border-ink bg-sheet px-3 py-2 font-script text-words"
        onChange={(e) => set("words", e.target.value)}
      />
      <div className="flex flex-wrap items-center gap-2">
        <select
          aria-label={t("kind")}
          value={wanted.kind ?? ""}
          className={BOX}
          onChange={(e) => set("kind", e.target.value)}
        >
          <option value="">{t("every kind")}</option>
          {Object.entries(KIND_NAMES).map(([kind, name]) => (
            <option key={kind} value={kind}>
              {t(name)}
            </option>
          ))}
        </select>
        {small("code", t("standard"), "w-24")}
        {small("tag", t("tag"), "w-24")}
        <span className="flex items-center gap-1 text-small text-soft">
          <select
            aria-label={t("which mean score")}
            value={String(wanted.soFar ?? false)}
            className={BOX}
            onChange={(e) => set("soFar", e.target.value === "true" ? true : "")}
          >
            <option value="false">{t("expected mean")}</option>
            <option value="true">{t("mean so far")}</option>
          </select>{" "}
          {small("from", t("from"), "w-16")} – {small("to", t("to"), "w-16")}
        </span>
        <select
          aria-label={t("use")}
          value={wanted.used === null ? "" : String(wanted.used)}
          className={BOX}
          onChange={(e) => set("used", e.target.value === "" ? "" : e.target.value === "true")}
        >
          <option value="">{t("any use")}</option>
          <option value="true">{t("used")}</option>
          <option value="false">{t("not used yet")}</option>
        </select>
        <select
          aria-label={t("folder")}
          value={wanted.folder ?? ""}
          className={BOX}
          onChange={(e) => set("folder", e.target.value)}
        >
          <option value="">{t("every folder")}</option>
          {folders.map((f) => (
            <option key={f.id} value={f.id}>
              {f.mine ? f.name : `${f.name} (${f.owner})`} · {f.items}
            </option>
          ))}
        </select>
        <select
          aria-label={t("author")}
          value={wanted.author ?? ""}
          className={BOX}
          onChange={(e) => set("author", e.target.value)}
        >
          <option value="">{t("every author")}</option>
          {colleagues.data?.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name}
            </option>
          ))}
        </select>
        <input
          aria-label={t("a new folder")}
          placeholder={t("New folder (press Enter)")}
          className={`${BOX} w-36`}
          onKeyDown={(e) => {
            if (e.key === "Enter" && e.currentTarget.value.trim()) {
              addFolder.mutate(e.currentTarget.value);
              e.currentTarget.value = "";
            }
          }}
        />
        {mine && (
          <TextButton
            className="text-small underline"
            disabled={removeFolder.isPending}
            onClick={() => removeFolder.mutate(mine.id)}
          >
            {t("Remove the folder {{name}}", { name: mine.name })}
          </TextButton>
        )}
        {JSON.stringify(wanted) !== JSON.stringify(NOTHING) && (
          <TextButton className="text-small underline" onClick={() => onWanted(NOTHING)}>
            {t("Clear filters")}
          </TextButton>
        )}
      </div>
      <Trouble error={addFolder.error ?? removeFolder.error} />
    </div>
  );
}
