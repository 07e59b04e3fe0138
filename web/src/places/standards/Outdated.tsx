import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Note } from "../../parts/Sheet";
import { Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";

/** Items whose tags belong to the older version, with what they would become; taken one by one or all at once. */
export function Outdated({ older, newer }: { older: string; newer: string }) {
  const client = useQueryClient();
  const path = { params: { path: { older, newer } } };
  const query = useQuery({
    queryKey: ["outdated", older, newer],
    queryFn: () => ok(api.GET("/api/crosswalks/{older}/{newer}/outdated", path)),
  });
  const take = useMutation({
    mutationFn: (items: Schemas["Outdated"][]) =>
      ok(
        api.POST("/api/crosswalks/{older}/{newer}/outdated", {
          ...path,
          body: { items: items.map(({ assessment, item }) => ({ assessment, item })) },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["outdated", older, newer] }),
  });
  return (
    <section className="mt-6" aria-label={t("Outdated tags")}>
      <h2 className="mb-2 font-semibold">{t("Items that still use older standards")}</h2>
      <Trouble error={take.error} />
      <Loaded query={query}>
        {(all) => {
          const ready = all.filter(changes);
          return all.length === 0 ? (
            <p className="text-soft">{t("None of your assessments or bank items use them.")}</p>
          ) : (
            <>
              <Lacking older={older} newer={newer} outdated={ready} />
              <Button disabled={ready.length === 0 || take.isPending} onClick={() => take.mutate(ready)}>
                {t("Update {{count}} items", { count: ready.length })}
              </Button>
              <ul className="mt-2">
                {all.map((o) => (
                  <li
                    key={`${o.assessment} ${o.item}`}
                    className="flex flex-wrap items-baseline gap-3 border-b border-rule py-1.5"
                  >
                    <span className="min-w-60 flex-1 font-script">
                      {o.prompt}{" "}
                      <span className="font-sans text-small text-soft">{o.title || t("bank")}</span>
                    </span>
                    <span className="text-small text-standard">
                      {o.old.join(" ")} → {o.proposed.join(" ") || (o.unmapped.length > 0 ? "…" : "–")}
                    </span>
                    {o.retired.length > 0 && (
                      <span className="text-small text-soft">
                        {t("{{codes}} retired, will be removed", { codes: o.retired.join(" ") })}
                      </span>
                    )}
                    {o.unmapped.length > 0 && (
                      <span className="text-small text-waiting">
                        {t("{{codes}} not mapped", { codes: o.unmapped.join(" ") })}
                      </span>
                    )}
                    <TextButton
                      className="text-small underline"
                      aria-label={t("Update {{prompt}}", { prompt: o.prompt })}
                      disabled={!changes(o) || take.isPending}
                      onClick={() => take.mutate([o])}
                    >
                      {t("Update")}
                    </TextButton>
                  </li>
                ))}
              </ul>
            </>
          );
        }}
      </Loaded>
    </section>
  );
}

/** Whether carrying over would change anything: something new comes, or something retired goes. */
function changes(o: Schemas["Outdated"]): boolean {
  return o.proposed.length > 0 || o.retired.length > 0;
}

/** Courses that do not use the newer version yet, named before their items are tagged with what they would not know. */
function Lacking({
  older,
  newer,
  outdated,
}: {
  older: string;
  newer: string;
  outdated: Schemas["Outdated"][];
}) {
  const client = useQueryClient();
  const use = useMutation({
    mutationFn: (course: string) =>
      ok(
        api.POST("/api/courses/{course}/frameworks", {
          params: { path: { course } },
          body: { framework: newer },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["outdated", older, newer] }),
  });
  const courses = new Map(
    outdated
      .filter((o) => o.proposed.length > 0)
      .flatMap((o) => (o.lacking ? [[o.lacking.id, o.lacking.title]] : [])),
  );
  return (
    <>
      {[...courses].map(([id, title]) => (
        <Note key={id} by="waiting">
          <p>
            {t("{{course}} does not use this version yet: it would not know the new standards.", {
              course: title,
            })}
          </p>
          <Button look="quiet" disabled={use.isPending} onClick={() => use.mutate(id)}>
            {t("Use it in {{course}}", { course: title })}
          </Button>
        </Note>
      ))}
      <Trouble error={use.error} />
    </>
  );
}
