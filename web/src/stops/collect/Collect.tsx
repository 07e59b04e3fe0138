import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { sectionQuery, useHeader, useWhere } from "../Assessment";
import { GiveOut } from "../key/GiveOut";
import { FilesBroughtIn } from "./FilesBroughtIn";
import { LateAnswers } from "./LateAnswers";
import { ActOn, LINE_FIELD } from "./monitor/ActOn";
import { Counts, mayRemind } from "./monitor/Counts";
import { Rows, rowId } from "./monitor/Rows";
import { SoFar } from "./monitor/SoFar";
import { nameOf, type Row, useReminder, useRunning, type View } from "./monitor/useRunning";
import { useServerNow } from "./monitor/useServerNow";
import { codeOnBoard } from "./sitting/draft";

/** A row a student: how it came in, a cell an item, last change, time left, state. Live, and acted upon. */
export function Collect() {
  const { assessment, section } = useWhere();
  const query = useQuery({
    queryKey: ["assessment", assessment, "collect", section],
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}/collect", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
  return (
    <Loaded query={query}>
      {(view) =>
        view.sittings.length === 0 ? (
          <Sheet margin={<WaysIn assessment={assessment} view={view} />}>
            <Empty title={t("Not given out yet.")}>
              {t("Give it out to a section in the margin, or bring in answers from a file.")}
            </Empty>
          </Sheet>
        ) : (
          <Monitor assessment={assessment} section={section} view={view} heardAt={query.dataUpdatedAt} />
        )
      }
    </Loaded>
  );
}

function Monitor({
  assessment,
  section,
  view,
  heardAt,
}: {
  assessment: string;
  section: string | null;
  view: View;
  heardAt: number;
}) {
  const now = useServerNow(view.now, heardAt);
  const running = useRunning();
  const remind = useReminder();
  const [id, setId] = useState<string | null>(null);
  const row = view.rows.find((r) => rowId(r) === id);
  const one = view.sittings.length === 1 ? view.sittings[0] : undefined;
  const step = (by: number) => {
    const at = view.rows.findIndex((r) => rowId(r) === id);
    const next = view.rows[at < 0 ? 0 : Math.max(0, Math.min(view.rows.length - 1, at + by))];
    if (next) {
      setId(rowId(next));
      document.getElementById(rowId(next))?.focus();
    }
  };
  const working = row?.stage === "WORKING" ? row : undefined;
  const busy = view.rows.filter((r) => r.stage === "WORKING" && !r.paused);
  useKeys([
    ["j", t("next student"), () => step(1)],
    ["k", t("previous student"), () => step(-1)],
    ["ArrowDown", "", () => step(1)],
    ["ArrowUp", "", () => step(-1)],
    ["Escape", t("act for all"), () => setId(null)],
    [
      "+",
      t("5 minutes more"),
      () =>
        working
          ? running.more(working)
          : !row && one && running.moreForAll(one, Date.parse(one.closes) <= now),
    ],
    [
      "p",
      t("pause, or go on"),
      () =>
        working
          ? working.paused
            ? running.goOn([working])
            : running.pause([working])
          : !row && one && running.pause(busy),
    ],
    [
      "h",
      t("hand in as it is"),
      () => working && running.handIn(working, working.due ? (Date.parse(working.due) - now) / 60_000 : 0),
    ],
    ["o", t("open again"), () => row?.stage === "IN" && row.way === "SCREEN" && running.reopen(row)],
    ["r", t("remind who has not begun"), () => one && mayRemind(view, now) && remind.mutate(one.id)],
    ["/", t("a line"), () => document.getElementById(LINE_FIELD)?.focus()],
    ["u", t("undo"), running.undo],
  ]);
  return (
    <Sheet
      margin={
        <>
          <ActOn
            assessment={assessment}
            view={view}
            row={row}
            now={now}
            running={running}
            onNobody={() => setId(null)}
          />
          <Stuck view={view} onChoose={(r) => setId(rowId(r))} />
          <SoFar assessment={assessment} view={view} />
          <SittingsGiven assessment={assessment} view={view} />
          <WaysIn assessment={assessment} view={view} />
        </>
      }
    >
      <Counts view={view} now={now} running={running} remind={remind} />
      <LateAnswers assessment={assessment} section={section} />
      <Rows view={view} now={now} chosen={row} onChoose={(r) => setId(rowId(r))} />
    </Sheet>
  );
}

function Stuck({ view, onChoose }: { view: View; onChoose: (row: Row) => void }) {
  const stuck = view.rows.filter((r) => r.stage === "WORKING" && r.stuck !== null);
  return (
    stuck.length > 0 && (
      <MarginPart title={t("May be stuck")}>
        {stuck.map((r) => (
          <Note key={rowId(r)} by="waiting">
            <TextButton onClick={() => onChoose(r)}>{nameOf(r)}</TextButton>{" "}
            {r.at === null
              ? t("No change for {{count}} minutes.", { count: r.stuck })
              : t("No change for {{count}} minutes at question {{n}}.", { count: r.stuck, n: r.at + 1 })}
          </Note>
        ))}
      </MarginPart>
    )
  );
}

/** What is given out, with the way to everything about it. */
function SittingsGiven({ assessment, view }: { assessment: string; view: View }) {
  const header = useHeader(assessment, null);
  return (
    <MarginPart title={t("Given out")}>
      {view.sittings.map((s) => (
        <Note key={s.id} by="rule">
          <Link to={`/a/${assessment}/sittings/${s.id}`} className="font-semibold underline">
            {t("The sitting of {{section}}", {
              section: header.data?.sections.find((x) => x.id === s.section)?.name ?? "",
            })}
          </Link>
          <span className="block text-small text-soft">
            {t("{{from}} to {{to}}", { from: moment(s.opens), to: moment(s.closes) })}
            {s.minutes !== null && ` · ${t("{{count}} minutes", { count: s.minutes })}`}
          </span>
          {s.settings.code && (
            <span className="block">
              {t("code")}{" "}
              <strong className="font-script tracking-widest">{codeOnBoard(s.settings.code)}</strong>
            </span>
          )}
        </Note>
      ))}
    </MarginPart>
  );
}

function WaysIn({ assessment, view }: { assessment: string; view: View }) {
  return (
    <>
      <MarginPart title={t("How answers come in")}>
        <Note by="rule">
          <strong>{t("On screen")}</strong> ·{" "}
          {view.sittings.length > 0 ? t("students find it under To do") : t("available once it is given out")}
        </Note>
        <Note>
          <Link to={`/a/${assessment}/bring-in`} className="font-semibold underline">
            {t("From a file")}
          </Link>{" "}
          · {t("one row per student, columns in any order")}
        </Note>
        <Note>
          <Link to={`/a/${assessment}/type-in`} className="font-semibold underline">
            {t("Typed from paper")}
          </Link>{" "}
          · {t("letters or points in a grid, alone or two to compare")}
        </Note>
        <Link to="/receipt" className="text-small underline">
          {t("Check a student’s receipt")}
        </Link>
      </MarginPart>
      <FilesBroughtIn assessment={assessment} />
      <GiveOut assessment={assessment} />
    </>
  );
}
