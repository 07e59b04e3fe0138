import { useMutation, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Trouble } from "../../parts/States";
import { same } from "../../parts/same";
import { useSettled } from "../../parts/useSettled";
import type { Item } from "../../stops/key/definition";
import { ItemEditor } from "../../stops/key/ItemEditor";
import { t } from "../../text";
import { useWholeFrameworks } from "../standards/useWholeFrameworks";

/** An item of the bank changed where it is kept: how it would score is said beside it, and keeping it makes a version. */
export function ChangeHere({
  line,
  onChanged,
  onClose,
}: {
  line: Schemas["BankLine"];
  onChanged: () => void;
  onClose: () => void;
}) {
  const [item, setItem] = useState(line.definition as Item);
  const frameworks = useWholeFrameworks();
  const asked = useSettled(item);
  const check = useQuery({
    queryKey: ["check", asked, null],
    queryFn: () => ok(api.POST("/api/items/check", { body: { item: asked, answers: [] } })),
    placeholderData: (before) => before,
  });
  const keep = useMutation({
    mutationFn: () =>
      ok(
        api.PUT("/api/bank/items/{item}", {
          params: { path: { item: line.id } },
          body: { definition: item as object as Record<string, never>, version: line.version },
        }),
      ),
    onSuccess: () => {
      onChanged();
      onClose();
    },
  });
  const changed = !same(item, line.definition);
  return (
    <section className="mt-4 border border-rule" aria-label={t("Change {{prompt}}", { prompt: line.prompt })}>
      <ItemEditor
        item={item}
        items={[item]}
        frameworks={frameworks}
        faults={check.data?.faults ?? []}
        onChange={setItem}
      />
      <div className="sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-rule bg-sheet px-6 py-3">
        <Button look="strong" disabled={!changed || keep.isPending} onClick={() => keep.mutate()}>
          {t("Save as version {{n}}", { n: line.version + 1 })}
        </Button>
        <Button look="quiet" onClick={onClose}>
          {t("Discard changes")}
        </Button>
        <span className="min-w-60 flex-1 text-small text-soft">{check.data?.words}</span>
        <Trouble error={keep.error} />
      </div>
    </section>
  );
}
