import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../../api/client";
import { Button, TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Trouble } from "../../../parts/States";
import { same } from "../../../parts/same";
import { t } from "../../../text";
import { type Item, type Rubric, without } from "../definition";

type Props = { item: Item; rubric: Rubric; onChange: (item: Item) => void };
type Line = Schemas["RubricLine"];

/** Where the item's rubric is kept: a newer version there is told of and can be taken, what was changed here can be kept. */
export function KeptRubric({ item, rubric, onChange }: Props) {
  const query = useQuery({ queryKey: ["rubrics"], queryFn: () => ok(api.GET("/api/rubrics")) });
  if (!query.data) {
    return null;
  }
  const kept = query.data.find((r) => r.id === item.rubricKept?.id);
  return (
    <div className="mt-2 border-l-3 border-rule pl-3 text-small">
      {kept && item.rubricKept ? (
        <From kept={kept} version={item.rubricKept.version} item={item} rubric={rubric} onChange={onChange} />
      ) : (
        <Keep item={item} rubric={rubric} onChange={onChange} label={t("Save this rubric to the bank…")} />
      )}
    </div>
  );
}

function From({ kept, version, item, rubric, onChange }: Props & { kept: Line; version: number }) {
  const client = useQueryClient();
  const view = useQuery({
    queryKey: ["rubrics", kept.id, kept.version],
    queryFn: () => ok(api.GET("/api/rubrics/{rubric}", { params: { path: { rubric: kept.id } } })),
  });
  const change = useMutation({
    mutationFn: () =>
      ok(
        api.PUT("/api/rubrics/{rubric}", {
          params: { path: { rubric: kept.id } },
          body: { title: kept.title, definition: rubric as never, version: kept.version },
        }),
      ),
    onSuccess: ({ version: next }) => {
      onChange({ ...item, rubricKept: { id: kept.id, version: next } });
      return client.invalidateQueries({ queryKey: ["rubrics"] });
    },
  });
  const own = view.data?.versions.find((v) => v.version === version);
  const changedHere = own !== undefined && !same(own.definition, rubric);
  const newer = view.data?.versions.filter((v) => v.version > version) ?? [];
  return (
    <>
      <p>
        {t("From the bank's rubric “{{title}}”, version {{n}}.", { title: kept.title, n: version })}{" "}
        {changedHere && <strong>{t("Changed here since then.")}</strong>}{" "}
        <TextButton className="underline" onClick={() => onChange(without(item, "rubricKept"))}>
          {t("Unlink from the bank")}
        </TextButton>
      </p>
      {newer.length > 0 && (
        <>
          <p className="mt-1 font-semibold text-waiting">
            {t("The bank has version {{n}}. It changes:", { n: kept.version })}
          </p>
          <ul className="list-disc pl-5">
            {newer.flatMap((v) => v.changes.map((words) => <li key={v.version + words}>{words}</li>))}
          </ul>
          <Button
            look="quiet"
            className="mt-1"
            onClick={() =>
              onChange({
                ...item,
                rubric: kept.definition as Rubric,
                rubricKept: { id: kept.id, version: kept.version },
              })
            }
          >
            {t("Use version {{n}}", { n: kept.version })}
          </Button>
        </>
      )}
      {changedHere && (
        <div className="mt-1 flex flex-wrap items-start gap-4">
          {kept.mayEdit && newer.length === 0 && (
            <Button look="quiet" disabled={change.isPending} onClick={() => change.mutate()}>
              {t("Save as version {{n}}", { n: kept.version + 1 })}
            </Button>
          )}
          <Keep item={item} rubric={rubric} onChange={onChange} label={t("Save as a new rubric…")} />
        </div>
      )}
      <Trouble error={change.error} />
    </>
  );
}

/** Keeps the rubric under a title of its own. */
function Keep({ item, rubric, onChange, label }: Props & { label: string }) {
  const client = useQueryClient();
  const [title, setTitle] = useState<string | null>(null);
  const add = useMutation({
    mutationFn: (name: string) =>
      ok(api.POST("/api/rubrics", { body: { title: name, definition: rubric as never } })),
    onSuccess: ({ id }) => {
      setTitle(null);
      onChange({ ...item, rubricKept: { id, version: 1 } });
      return client.invalidateQueries({ queryKey: ["rubrics"] });
    },
  });
  if (title === null) {
    return (
      <TextButton className="underline" onClick={() => setTitle("")}>
        {label}
      </TextButton>
    );
  }
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        title.trim() && add.mutate(title);
      }}
    >
      <Field
        label={t("Title of the rubric")}
        value={title}
        autoFocus
        className="w-64"
        onChange={(e) => setTitle(e.target.value)}
      />
      <Button type="submit" disabled={!title.trim() || add.isPending}>
        {t("Save")}
      </Button>
      <Button look="quiet" onClick={() => setTitle(null)}>
        {t("Not now")}
      </Button>
      <Trouble error={add.error} />
    </form>
  );
}
