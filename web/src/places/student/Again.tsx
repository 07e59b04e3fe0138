import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";

/** What may be done now with what is handed in: change its answers, or take it once more. */
export function Again({ paper: { attempt, sitting, next } }: { paper: Schemas["Paper"] }) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const change = useMutation({
    mutationFn: () =>
      ok(api.POST("/api/student/attempts/{attempt}/change", { params: { path: { attempt } } })),
    onSuccess: ({ attempt: again }) => {
      void client.invalidateQueries({ queryKey: ["todo"] });
      void navigate(`/sit/${again}`, { replace: true });
    },
  });
  return (
    <>
      {next.changeUntil && (
        <div className="my-4">
          <Button className="min-h-11" disabled={change.isPending} onClick={() => change.mutate()}>
            {t("Change my answers")}
          </Button>
          <p className="mt-1 text-small text-soft">
            {t(
              "Until {{when}}. This hand-in is kept; what you hand in after it counts instead. What is not handed in by then is handed in as it is.",
              { when: moment(next.changeUntil) },
            )}
          </p>
          <Trouble error={change.error} />
        </div>
      )}
      {next.attemptsLeft > 0 && (
        <p className="my-4">
          <Link
            to={`/todo/${sitting}`}
            className="inline-flex min-h-11 items-center rounded-corner border border-rule-strong px-3 font-semibold"
          >
            {t("Take it once more")}
          </Link>
        </p>
      )}
    </>
  );
}
