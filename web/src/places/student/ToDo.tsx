import { useMutation } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Empty, Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { LateState } from "./LateState";
import { leftBehind } from "./onDevice";
import { isTold, useToDo } from "./toDo/useToDo";
import { useAutosave } from "./useAutosave";

type Line = Schemas["ToDoLine"];

/** Answers that could not be sent before the page was left: they are sent from here. */
function LeftBehind({ attempt, title }: { attempt: string; title: string }) {
  const saver = useAutosave(attempt);
  return (
    <section aria-label={title} className="px-5">
      <p className="font-script font-semibold">{title}</p>
      <LateState saver={saver} />
    </section>
  );
}

/** What waits for a student: open sittings first, then what is coming, then what is done. */
export function ToDo() {
  const navigate = useNavigate();
  const query = useToDo();
  const begin = useMutation({
    mutationFn: (sitting: string) =>
      ok(api.POST("/api/student/sittings/{sitting}/attempt", { params: { path: { sitting } } })),
    onSuccess: ({ attempt }) => navigate(`/sit/${attempt}`),
  });
  return (
    <main id="page" className="mx-auto w-full max-w-2xl bg-sheet pb-10 sm:my-6 sm:border sm:border-rule">
      <h1 className="px-5 pt-5 pb-3 font-script text-title font-semibold">{t("To do")}</h1>
      <Loaded query={query}>
        {(all) => (
          <>
            {all.length === 0 && (
              <Empty title={t("Nothing to do at the moment.")}>
                {t("When your teacher gives you something to do, it will appear here.")}
              </Empty>
            )}
            {all
              .filter((line) => line.attempt && leftBehind().includes(line.attempt))
              .map((line) => (
                <LeftBehind key={line.attempt} attempt={line.attempt ?? ""} title={line.title} />
              ))}
            <ul className="border-t border-rule">
              {order(all).map((line) => (
                <li
                  key={line.sitting}
                  className="flex flex-wrap items-center gap-3 border-b border-rule px-5 py-3"
                >
                  <div className="min-w-0 flex-1 basis-48">
                    <p className="font-script text-words font-semibold">{line.title}</p>
                    <p className="text-small text-soft">
                      {line.course} · {when(line)}
                    </p>
                  </div>
                  {line.stage === "IN" && line.attemptsLeft > 0 && (
                    <Link
                      to={`/todo/${line.sitting}`}
                      className="inline-flex min-h-11 items-center rounded-corner border border-rule-strong px-3 font-semibold"
                    >
                      {t("Take it once more")}
                    </Link>
                  )}
                  {line.stage === "OPEN" && isTold(line) ? (
                    <Link
                      to={`/todo/${line.sitting}`}
                      className="inline-flex min-h-11 items-center rounded-corner border border-ink bg-ink px-3 font-semibold text-sheet"
                    >
                      {t("Begin")}
                    </Link>
                  ) : (
                    (line.stage === "OPEN" || line.stage === "WORKING") && (
                      <Button
                        look="strong"
                        className="min-h-11"
                        disabled={begin.isPending}
                        onClick={() => begin.mutate(line.sitting)}
                      >
                        {line.stage === "OPEN" ? t("Begin") : t("Continue")}
                      </Button>
                    )
                  )}
                </li>
              ))}
            </ul>
            <Trouble error={begin.error} />
          </>
        )}
      </Loaded>
    </main>
  );
}

const ORDER: Line["stage"][] = ["WORKING", "OPEN", "COMING", "IN", "MISSED"];

function order(all: Line[]): Line[] {
  return [...all].sort((a, b) => ORDER.indexOf(a.stage) - ORDER.indexOf(b.stage));
}

function when(line: Line): string {
  switch (line.stage) {
    case "COMING":
      return t("opens {{when}}", { when: moment(line.opens) });
    case "IN":
      return t("handed in");
    case "MISSED":
      return t("closed {{when}}, not handed in", { when: moment(line.closes) });
    default:
      return (
        t("closes {{when}}", { when: moment(line.closes) }) +
        (line.lateUntil ? ` · ${t("late until {{when}}", { when: moment(line.lateUntil) })}` : "") +
        (line.minutes ? ` · ${t("{{count}} minutes", { count: line.minutes })}` : "")
      );
  }
}
