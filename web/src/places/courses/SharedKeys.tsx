import { useMutation, useQuery } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { AboutInShort } from "./AboutInShort";

/** Keys that colleagues share: opened where they may be edited, copied into a course of one's own. */
export function SharedKeys({ into }: { into: { id: string; title: string }[] }) {
  const navigate = useNavigate();
  const keys = useQuery({ queryKey: ["shared-keys"], queryFn: () => ok(api.GET("/api/shared-keys")) });
  const copy = useMutation({
    mutationFn: ({ assessment, course }: { assessment: string; course: string }) =>
      ok(api.POST("/api/courses/{course}/copies", { params: { path: { course } }, body: { assessment } })),
    onSuccess: ({ id }) => navigate(`/a/${id}/key`),
  });
  if (!keys.data || keys.data.length === 0) {
    return null;
  }
  return (
    <section className="px-6 pb-6" aria-label={t("Shared with you")}>
      <h2 className="mb-1 text-small font-semibold text-soft">{t("Keys that colleagues share with you")}</h2>
      <ul>
        {keys.data.map((k) => (
          <li key={k.assessment} className="flex flex-wrap items-baseline gap-4 border-b border-rule py-1.5">
            <span className="flex-1 font-script">
              <strong>{k.title}</strong> <AboutInShort about={k.about} />{" "}
              <span className="font-sans text-small text-soft">
                {k.course} · {k.by}
              </span>
            </span>
            {k.mayEdit && (
              <Link className="underline" to={`/a/${k.assessment}/key`}>
                {t("open")}
              </Link>
            )}
            {into.length === 1 ? (
              <TextButton
                disabled={copy.isPending}
                onClick={() => into[0] && copy.mutate({ assessment: k.assessment, course: into[0].id })}
              >
                {t("copy into {{course}}", { course: into[0]?.title ?? "" })}
              </TextButton>
            ) : into.length === 0 ? null : (
              <select
                aria-label={t("Copy {{title}} into a course", { title: k.title })}
                value=""
                disabled={copy.isPending}
                onChange={(e) => copy.mutate({ assessment: k.assessment, course: e.target.value })}
                className="rounded-corner border border-rule bg-sheet px-1 py-0.5 text-small"
              >
                <option value="">{t("copy into…")}</option>
                {into.map((c) => (
                  <option key={c.id} value={c.id}>
                    {c.title}
                  </option>
                ))}
              </select>
            )}
          </li>
        ))}
      </ul>
      <Trouble error={copy.error} />
    </section>
  );
}
