import { useMutation, useQuery } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** Keys that colleagues share: opened where they may be edited, copied into this course. */
export function SharedKeys({ course }: { course: string }) {
  const navigate = useNavigate();
  const keys = useQuery({ queryKey: ["shared-keys"], queryFn: () => ok(api.GET("/api/shared-keys")) });
  const copy = useMutation({
    mutationFn: (assessment: string) =>
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
              <strong>{k.title}</strong>{" "}
              <span className="font-sans text-small text-soft">
                {k.course} · {k.by}
              </span>
            </span>
            {k.mayEdit && (
              <Link className="underline" to={`/a/${k.assessment}/key`}>
                {t("open")}
              </Link>
            )}
            <TextButton disabled={copy.isPending} onClick={() => copy.mutate(k.assessment)}>
              {t("copy into this course")}
            </TextButton>
          </li>
        ))}
      </ul>
      <Trouble error={copy.error} />
    </section>
  );
}
