import { NavLink, useSearchParams } from "react-router";
import type { Schemas } from "../api/client";
import { t } from "../text";

type Line = Schemas["Line"];
type Stand = "done" | "waits" | "empty";

const STOPS = ["key", "collect", "settle", "read", "examine", "hand-back"] as const;
const NAMES = {
  key: "Key",
  collect: "Collect",
  settle: "Settle",
  read: "Read",
  examine: "Examine",
  "hand-back": "Hand back",
};

/** What remains at a stop, in words, and whether it is done. */
export function stopState(stop: (typeof STOPS)[number], line: Line): [Stand, string] {
  switch (stop) {
    case "key":
      return line.edition === 0
        ? ["waits", t("{{count}} questions · not given out", { count: line.items })]
        : ["done", t("{{count}} questions · edition {{n}}", { count: line.items, n: line.edition })];
    case "collect":
      return line.expected === 0
        ? ["empty", "–"]
        : [
            line.working > 0 ? "waits" : "done",
            t("{{in}} of {{all}} handed in", { in: line.in, all: line.expected }),
          ];
    case "settle":
      return line.in === 0
        ? ["empty", "–"]
        : line.doubts > 0
          ? ["waits", t("{{count}} doubts", { count: line.doubts })]
          : ["done", t("no doubts left")];
    case "read":
      return line.openAnswers === 0
        ? [line.in === 0 ? "empty" : "done", line.in === 0 ? "–" : t("nothing to read")]
        : line.unread > 0
          ? ["waits", t("{{n}} of {{all}} unread", { n: line.unread, all: line.openAnswers })]
          : ["done", t("all read")];
    case "examine":
      return line.in === 0
        ? ["empty", "–"]
        : line.flags
          ? ["waits", t("{{count}} flags", { count: line.flags })]
          : ["done", t("nothing flagged")];
    case "hand-back":
      return line.in === 0
        ? ["empty", "–"]
        : line.handedBack >= line.in
          ? ["done", t("handed back")]
          : ["empty", t("{{n}} to hand back", { n: line.in - line.handedBack })];
  }
}

/** The line of work: a filled stop is done, an ochre ring waits, the ring with a dot is where you are. */
export function LineOfWork({ id, line }: { id: string; line: Line }) {
  const [params] = useSearchParams();
  const section = params.get("section");
  return (
    <nav aria-label={t("The line")} className="overflow-x-auto">
      <ol className="flex min-w-[640px]">
        {STOPS.map((stop, i) => {
          const [stand, words] = stopState(stop, line);
          const ink = stand === "waits" ? "text-waiting" : "";
          return (
            <li key={stop} className={i < STOPS.length - 1 ? "flex-1" : ""}>
              <NavLink
                to={`/a/${id}/${stop}${section ? `?section=${section}` : ""}`}
                className="group block py-1 pr-4"
              >
                {({ isActive }) => (
                  <>
                    <span className="relative block h-5">
                      {i < STOPS.length - 1 && (
                        <span
                          aria-hidden="true"
                          className={`absolute top-2 -right-4 left-0 border-t-2 ${stand === "done" ? "border-ink" : "border-rule"}`}
                        />
                      )}
                      <Dot stand={stand} here={isActive} />
                    </span>
                    <span
                      data-title={isActive ? t(NAMES[stop]) : undefined}
                      className={`font-semibold ${ink} ${isActive ? "border-b-2 border-current" : ""}`}
                    >
                      {t(NAMES[stop])}
                    </span>
                    <span
                      className={`block text-small whitespace-nowrap ${stand === "waits" ? "font-semibold text-waiting" : "text-soft"}`}
                    >
                      {words}
                    </span>
                  </>
                )}
              </NavLink>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

function Dot({ stand, here }: { stand: Stand; here: boolean }) {
  const ring = here || stand === "done" ? "border-ink" : stand === "waits" ? "border-waiting" : "border-rule";
  const fill = stand === "done" && !here ? "bg-ink" : "bg-paper";
  return (
    <span aria-hidden="true" className={`absolute left-0 size-4.5 rounded-full border-2 ${ring} ${fill}`}>
      {here && <span className="absolute inset-0.75 rounded-full bg-ink" />}
    </span>
  );
}

/** The line in small, for a row of a list. */
export function LineInSmall({ line }: { line: Line }) {
  return (
    <ol className="flex gap-5 text-small">
      {STOPS.filter((s) => s !== "examine").map((stop) => {
        const [stand, words] = stopState(stop, line);
        return (
          <li
            key={stop}
            className={`min-w-20 ${stand === "waits" ? "font-semibold text-waiting" : "text-soft"}`}
          >
            <span aria-hidden="true">{stand === "done" ? "● " : stand === "waits" ? "◯ " : "· "}</span>
            <span className="sr-only">{t(NAMES[stop])}: </span>
            {words}
          </li>
        );
      })}
    </ol>
  );
}
