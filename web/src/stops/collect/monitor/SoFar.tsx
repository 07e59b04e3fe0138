import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { Mark } from "../../../parts/Mark";
import { OnWall } from "../../../parts/OnWall";
import { MarginPart } from "../../../parts/Sheet";
import { t } from "../../../text";
import type { View } from "./useRunning";

const SHOWN = 8;

/** Answers to one question as they come in, the most frequent first; large and without marks for the wall. */
export function SoFar({ assessment, view: monitor }: { assessment: string; view: View }) {
  const items = monitor.asked;
  const [item, setItem] = useState("");
  const [wall, setWall] = useState(false);
  const chosen = item || items[0]?.id || "";
  const query = useQuery({
    queryKey: ["assessment", assessment, "so-far", chosen],
    enabled: chosen !== "",
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/so-far/{item}", {
          params: { path: { assessment, item: chosen } },
        }),
      ),
  });
  if (items.length === 0) {
    return null;
  }
  const view = query.data;
  const most = Math.max(1, ...(view?.groups ?? []).map((g) => g.students));
  const bars = (count: number, large: boolean) => (
    <ul aria-label={t("Answers so far")}>
      {view?.groups.slice(0, count).map((g) => (
        <li key={g.answer} className="border-b border-rule py-1">
          <span className="flex items-baseline gap-3">
            <span className={`min-w-0 flex-1 font-script wrap-anywhere ${large ? "text-title" : ""}`}>
              {g.answer || t("open answers")}
            </span>
            {!large && (
              <span className="text-small">
                <Mark mark={g.mark} />
              </span>
            )}
            <strong className={large ? "text-title" : ""}>{g.students}</strong>
          </span>
          <span
            aria-hidden="true"
            className={`block bg-by-rule ${large ? "h-4" : "h-2"}`}
            style={{ width: `${(g.students / most) * 100}%` }}
          />
        </li>
      ))}
    </ul>
  );
  return (
    <MarginPart title={t("As it comes in")}>
      <select
        aria-label={t("Question")}
        value={chosen}
        onChange={(e) => setItem(e.target.value)}
        className="mb-2 w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1"
      >
        {items.map((i) => (
          <option key={i.id} value={i.id}>
            {`${i.number} · ${i.prompt}`}
          </option>
        ))}
      </select>
      {view && view.answered === 0 ? (
        <p className="text-small text-soft">{t("No answer yet.")}</p>
      ) : (
        <>
          {bars(SHOWN, false)}
          {view && view.groups.length > SHOWN && (
            <p className="text-small text-soft">
              {t("{{count}} other answers", { count: view.groups.length - SHOWN })}
            </p>
          )}
          <p className="mt-1 text-small">
            {t("On the wall:")}{" "}
            <TextButton onClick={() => setWall(true)}>{t("large, without names and marks")}</TextButton>
          </p>
        </>
      )}
      {wall && view && (
        <OnWall
          label={t("Answers for the wall")}
          head={<span>{t("{{count}} students have answered", { count: view.answered })}</span>}
          onClose={() => setWall(false)}
        >
          <h2 className="my-4 font-script text-[2rem] leading-snug">{view.prompt}</h2>
          {bars(view.groups.length, true)}
        </OnWall>
      )}
    </MarginPart>
  );
}
