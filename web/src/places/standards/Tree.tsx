import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Loaded, Trouble } from "../../parts/States";
import type { FrameworkFile } from "../../stops/key/definition";
import { t } from "../../text";
import { inTree, nextCode, possibleParents, recoded, removed, type Standard, under } from "./tree";

export function Tree({ id }: { id: string }) {
  const query = useQuery({
    queryKey: ["framework", id],
    queryFn: () => ok(api.GET("/api/frameworks/{framework}", { params: { path: { framework: id } } })),
    refetchOnWindowFocus: false,
  });
  return <Loaded query={query}>{(view) => <EditableTree key={view.revision} view={view} />}</Loaded>;
}

/** The tree as it is edited; nothing is saved before it is said so. */
function EditableTree({ view }: { view: Schemas["FrameworkView"] }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [file, setFile] = useState(view.definition as FrameworkFile);
  const [editing, setEditing] = useState(false);
  const [version, setVersion] = useState("");
  const changed = file !== view.definition;
  const set = (standards: Standard[]) => setFile({ ...file, standards });
  const done = () => {
    void client.invalidateQueries({ queryKey: ["framework", view.id] });
    void client.invalidateQueries({ queryKey: ["frameworks"] });
  };
  const save = useMutation({
    mutationFn: () =>
      ok(
        api.PUT("/api/frameworks/{framework}", {
          params: { path: { framework: view.id } },
          body: { definition: file as object as Record<string, never>, revision: view.revision },
        }),
      ),
    onSuccess: done,
  });
  const next = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/frameworks", {
          body: { definition: { ...file, version } as object as Record<string, never> },
        }),
      ),
    onSuccess: ({ id }) => {
      done();
      void navigate(`/standards/${id}`);
    },
  });
  return (
    <>
      <div className="flex flex-wrap items-baseline gap-4 px-6 pt-5 pb-4">
        <h1 className="font-script text-title font-semibold">
          {file.title} {file.version}
        </h1>
        <span className="ml-auto flex flex-wrap items-end gap-3">
          {editing ? (
            <>
              <Button look="strong" disabled={!changed || save.isPending} onClick={() => save.mutate()}>
                {t("Save the tree")}
              </Button>
              <Button
                look="quiet"
                onClick={() => {
                  setFile(view.definition as FrameworkFile);
                  setEditing(false);
                }}
              >
                {t("Discard changes")}
              </Button>
            </>
          ) : (
            <Button look="quiet" onClick={() => setEditing(true)}>
              {t("Edit the tree")}
            </Button>
          )}
        </span>
      </div>
      <div className="px-6">
        <Trouble error={save.error ?? next.error} />
      </div>
      {editing && (
        <div className="flex flex-wrap items-end gap-3 px-6 pb-3">
          <Field
            label={t("Title")}
            value={file.title}
            className="min-w-60 flex-1"
            onChange={(e) => setFile({ ...file, title: e.target.value })}
          />
          <Field
            label={t("As the new version")}
            value={version}
            placeholder="3"
            className="w-36"
            onChange={(e) => setVersion(e.target.value)}
          />
          <Button disabled={version.trim() === "" || next.isPending} onClick={() => next.mutate()}>
            {t("Make version {{v}}", { v: version })}
          </Button>
        </div>
      )}
      <ul className="border-t border-rule">
        {inTree(file.standards).map(({ standard: s, depth }) => (
          <li
            key={s.code}
            className="flex flex-wrap items-baseline gap-4 border-b border-rule px-6 py-1.5"
            style={{ paddingInlineStart: `${24 + depth * 28}px` }}
          >
            {editing ? (
              <Row standard={s} standards={file.standards} onChange={set} />
            ) : (
              <>
                <strong className="w-12 text-standard">{s.code}</strong>
                <span className={`font-script ${s.parent ? "" : "font-semibold"}`}>{s.text}</span>
              </>
            )}
          </li>
        ))}
      </ul>
      {editing && (
        <div className="px-6 py-3">
          <TextButton
            onClick={() => set([...file.standards, { code: nextCode(file.standards, undefined), text: "" }])}
          >
            {t("Add a top-level standard")}
          </TextButton>
        </div>
      )}
    </>
  );
}

function Row({
  standard,
  standards,
  onChange,
}: {
  standard: Standard;
  standards: Standard[];
  onChange: (standards: Standard[]) => void;
}) {
  const [code, setCode] = useState(standard.code);
  const change = (next: Standard) => onChange(standards.map((s) => (s.code === standard.code ? next : s)));
  return (
    <>
      <input
        aria-label={t("code of {{code}}", { code: standard.code })}
        value={code}
        className="w-16 rounded-corner border border-rule bg-sheet px-1 font-semibold text-standard"
        onChange={(e) => setCode(e.target.value)}
        onBlur={() => onChange(recoded(standards, standard.code, code))}
      />
      <input
        aria-label={t("Text of {{code}}", { code: standard.code })}
        value={standard.text}
        className="min-w-40 flex-1 bg-sheet font-script"
        onChange={(e) => change({ ...standard, text: e.target.value })}
      />
      <select
        aria-label={t("Parent of {{code}}", { code: standard.code })}
        value={standard.parent ?? ""}
        className="rounded-corner border border-rule bg-sheet text-small text-soft"
        onChange={(e) => change(under(standard, e.target.value || undefined))}
      >
        <option value="">{t("at the top")}</option>
        {possibleParents(standards, standard.code).map((c) => (
          <option key={c} value={c}>
            {t("under {{code}}", { code: c })}
          </option>
        ))}
      </select>
      <TextButton
        className="text-small"
        onClick={() =>
          onChange([
            ...standards,
            { code: nextCode(standards, standard.code), parent: standard.code, text: "" },
          ])
        }
      >
        {t("Add below")}
      </TextButton>
      <TextButton
        className="text-small text-soft"
        onClick={() => onChange(removed(standards, standard.code))}
      >
        {t("Remove")}
      </TextButton>
    </>
  );
}
