import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
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
          const ready = all.filter((o) => o.proposed.length > 0);
          return all.length === 0 ? (
            <p className="text-soft">{t("None of your assessments or bank items use them.")}</p>
          ) : (
            <>
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
                      {o.old.join(" ")} → {o.proposed.join(" ") || "…"}
                    </span>
                    {o.unmapped.length > 0 && (
                      <span className="text-small text-waiting">
                        {t("{{codes}} not mapped", { codes: o.unmapped.join(" ") })}
                      </span>
                    )}
                    <TextButton
                      className="text-small underline"
                      aria-label={t("Update {{prompt}}", { prompt: o.prompt })}
                      disabled={o.proposed.length === 0 || take.isPending}
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
