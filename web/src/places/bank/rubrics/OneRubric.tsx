import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Trouble } from "../../../parts/States";
import { same } from "../../../parts/same";
import type { Rubric } from "../../../stops/key/definition";
import { RubricEditor } from "../../../stops/key/rubric/RubricEditor";
import { t } from "../../../text";
import { useWholeFrameworks } from "../../standards/useWholeFrameworks";

/** The chosen rubric, edited on the page and kept as its next version when that is said. */
export function OneRubric({ line }: { line: Schemas["RubricLine"] }) {
  const client = useQueryClient();
  const [title, setTitle] = useState(line.title);
  const [rubric, setRubric] = useState(line.definition as Rubric);
  const frameworks = useWholeFrameworks();
  const changed = title !== line.title || !same(rubric, line.definition);
  const keep = useMutation({
    mutationFn: () =>
      ok(
        api.PUT("/api/rubrics/{rubric}", {
          params: { path: { rubric: line.id } },
          body: { title, definition: rubric as never, version: line.version },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["rubrics"] }),
  });
  return (
    <section className="mt-6" aria-label={line.title}>
      <fieldset disabled={!line.mayEdit} className="min-w-0">
        <Field
          label={t("Title of the rubric")}
          value={title}
          className="mb-3"
          onChange={(e) => setTitle(e.target.value)}
        />
        <RubricEditor rubric={rubric} frameworks={frameworks} onChange={setRubric} />
      </fieldset>
      {!line.mayEdit && (
        <p className="mt-2 text-soft">
          {t("{{name}} shares it with you to use. Take a copy to change it.", { name: line.author })}
        </p>
      )}
      {changed && (
        <div className="sticky bottom-0 mt-3 flex flex-wrap items-center gap-3 border-t border-rule bg-sheet py-3">
          <Button look="strong" disabled={keep.isPending || !title.trim()} onClick={() => keep.mutate()}>
            {t("Keep it as version {{n}}", { n: line.version + 1 })}
          </Button>
          <Button
            look="quiet"
            onClick={() => {
              setTitle(line.title);
              setRubric(line.definition as Rubric);
            }}
          >
            {t("Leave it as it was")}
          </Button>
          <span className="text-small text-soft">
            {t("Papers keep the version they have until you take the new one there.")}
          </span>
        </div>
      )}
      <Trouble error={keep.error} />
    </section>
  );
}
