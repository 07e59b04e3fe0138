import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** Attempts that could not be taken in when time was up: nothing of them is lost, and it can be tried again. */
export function Troubles({ troubles }: { troubles: Schemas["DeskView"]["troubles"] }) {
  const client = useQueryClient();
  const again = useMutation({
    mutationFn: (attempt: string) =>
      ok(api.POST("/api/attempts/{attempt}/take-in", { params: { path: { attempt } } })),
    onSettled: () => client.invalidateQueries({ queryKey: ["desk"] }),
  });
  if (troubles.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("Could not be taken in")}>
      {troubles.map((one) => (
        <Note key={one.attempt} by="waiting">
          <strong>{one.student}</strong>,{" "}
          <Link to={`/a/${one.assessment}/collect?section=${one.section}`} className="font-script underline">
            {one.title}
          </Link>
          <span className="block text-small">
            {t("When time was up: {{why}}. Every answer is kept.", { why: one.why })}
          </span>
          <TextButton
            className="text-small underline"
            disabled={again.isPending}
            onClick={() => again.mutate(one.attempt)}
          >
            {t("Try again")}
          </TextButton>
        </Note>
      ))}
      <Trouble error={again.error} />
    </MarginPart>
  );
}
