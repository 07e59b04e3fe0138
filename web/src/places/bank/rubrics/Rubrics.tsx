import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { useKeys } from "../../../parts/Keys";
import { Removed } from "../../../parts/Removed";
import { Sheet } from "../../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../../parts/States";
import { newCriterion, type Rubric, rubricInShort } from "../../../stops/key/definition";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { BankHead } from "../BankHead";
import { OneRubric, type RubricDraft } from "./OneRubric";
import { RubricMargin } from "./RubricMargin";

type Line = Schemas["RubricLine"];

/** The rubrics that are kept: chosen in the list, edited below it, with versions, uses and sharing in the margin. */
export function Rubrics() {
  const client = useQueryClient();
  const [chosen, setChosen] = useState<string | null>(null);
  // Looking at another rubric meanwhile loses nothing of this one.
  const [drafts, setDrafts] = useState<Record<string, RubricDraft | undefined>>({});
  const query = useQuery({ queryKey: ["rubrics"], queryFn: () => ok(api.GET("/api/rubrics")) });
  const rows = query.data ?? [];
  const here = rows.find((r) => r.id === chosen) ?? rows[0];
  const begin = useMutation({
    mutationFn: ({ title, definition }: { title: string; definition: Rubric }) =>
      ok(api.POST("/api/rubrics", { body: { title, definition: definition as never } })),
    onSuccess: async ({ id }) => {
      await client.invalidateQueries({ queryKey: ["rubrics"] });
      setChosen(id);
    },
  });
  const move = (by: number) => {
    const at = rows.findIndex((r) => r.id === here?.id);
    setChosen(rows[at + by]?.id ?? here?.id ?? null);
  };
  useKeys([
    ["j", t("next rubric"), () => move(1)],
    ["k", t("previous rubric"), () => move(-1)],
  ]);
  return (
    <Sheet
      margin={
        here && (
          <RubricMargin
            key={here.id}
            line={here}
            onCopy={() =>
              begin.mutate({
                title: t("{{title}} (copy)", { title: here.title }),
                definition: here.definition as Rubric,
              })
            }
          />
        )
      }
    >
      <div className="px-6 py-4">
        <BankHead at="rubrics" />
        <Button
          look="strong"
          disabled={begin.isPending}
          onClick={() =>
            begin.mutate({ title: t("New rubric"), definition: { criteria: [newCriterion([])] } })
          }
        >
          {t("New rubric")}
        </Button>
        <Trouble error={begin.error} />
        <Loaded query={query}>
          {(all) =>
            all.length === 0 ? (
              <Empty title={t("No rubrics in the bank yet.")}>
                {t("Begin one here, or keep the rubric of a question in its key. Papers take copies of it.")}
              </Empty>
            ) : (
              <>
                <RubricTable rows={all} chosen={here?.id} onChoose={setChosen} />
                {here && (
                  <OneRubric
                    key={here.id}
                    line={here}
                    draft={drafts[here.id]}
                    onDraft={(draft) => setDrafts((before) => ({ ...before, [here.id]: draft }))}
                  />
                )}
              </>
            )
          }
        </Loaded>
        <RemovedRubrics />
      </div>
    </Sheet>
  );
}

function RemovedRubrics() {
  const client = useQueryClient();
  const removed = useQuery({
    queryKey: ["rubrics", "removed"],
    queryFn: () => ok(api.GET("/api/rubrics/removed")),
  });
  const restore = useMutation({
    mutationFn: (rubric: string) =>
      ok(api.POST("/api/rubrics/{rubric}/restore", { params: { path: { rubric } } })),
    onSuccess: () => client.invalidateQueries({ queryKey: ["rubrics"] }),
  });
  return (
    <Removed
      title={t("Removed rubrics")}
      rows={(removed.data ?? []).map((r) => ({ ...r, name: r.title }))}
      onRestore={restore.mutate}
      pending={restore.isPending}
      error={restore.error}
    />
  );
}

function RubricTable({
  rows,
  chosen,
  onChoose,
}: {
  rows: Line[];
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  return (
    <table className="mt-3 w-full">
      <thead>
        <tr className="border-b border-rule text-left text-small text-soft">
          {[t("Rubric"), t("Structure"), t("Owner"), t("Version"), t("Maximum")].map((name) => (
            <th key={name} scope="col" className="py-1 font-normal">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.id} className={`border-b border-rule ${r.id === chosen ? "bg-by-rule-wash" : ""}`}>
            <td
              className={`border-l-3 py-1.5 pl-2 ${r.id === chosen ? "border-by-rule" : "border-transparent"}`}
            >
              <button type="button" className="text-left font-script" onClick={() => onChoose(r.id)}>
                {r.title}
              </button>
            </td>
            <td className="text-small">{rubricInShort(r.definition as Rubric)}</td>
            <td className="text-small">{r.author}</td>
            <td>{r.version}</td>
            <td>{points(r.maximum)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
