import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Trouble } from "../../../parts/States";
import { same } from "../../../parts/same";
import type { Rubric } from "../../../stops/key/definition";
import { RubricEditor } from "../../../stops/key/rubric/RubricEditor";
import { t } from "../../../text";
import { useWholeFrameworks } from "../../standards/useWholeFrameworks";

/** What was changed of a rubric and is not kept yet, and of which version. */
export type RubricDraft = { title: string; rubric: Rubric; version: number };

/** The chosen rubric, edited on the page and kept as its next version when that is said. */
export function OneRubric({
  line,
  draft,
  onDraft,
}: {
  line: Schemas["RubricLine"];
  draft: RubricDraft | undefined;
  onDraft: (draft: RubricDraft | undefined) => void;
}) {
  const client = useQueryClient();
  const { title, rubric, version } = draft ?? {
    title: line.title,
    rubric: line.definition as Rubric,
    version: line.version,
  };
  const frameworks = useWholeFrameworks();
  const changed = title !== line.title || !same(rubric, line.definition);
  const keep = useMutation({
    mutationFn: () =>
      ok(
        api.PUT("/api/rubrics/{rubric}", {
          params: { path: { rubric: line.id } },
          body: { title, definition: rubric as never, version },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ["rubrics"] });
      onDraft(undefined);
    },
  });
  return (
    <section className="mt-6" aria-label={line.title}>
      <fieldset disabled={!line.mayEdit} className="min-w-0">
        <Field
          label={t("Title of the rubric")}
          value={title}
          className="mb-3"
          onChange={(e) => onDraft({ title: e.target.value, rubric, version })}
        />
        <RubricEditor
          rubric={rubric}
          frameworks={frameworks}
          onChange={(next) => onDraft({ title, rubric: next, version })}
        />
      </fieldset>
      {!line.mayEdit && (
        <p className="mt-2 text-soft">
          {t("{{name}} shares it with you to use. Take a copy to change it.", { name: line.author })}
        </p>
      )}
      {changed && (
        <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 border-t border-rule bg-sheet py-3">
          <Button look="strong" disabled={keep.isPending || !title.trim()} onClick={() => keep.mutate()}>
            {t("Save as version {{n}}", { n: version + 1 })}
          </Button>
          <Button look="quiet" onClick={() => onDraft(undefined)}>
            {t("Discard changes")}
          </Button>
          <span className="text-small text-soft">
            {t("Assessments keep their version until you choose the new one there.")}
          </span>
        </div>
      )}
      <Trouble error={keep.error} />
    </section>
  );
}
