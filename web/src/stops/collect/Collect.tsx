import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../parts/States";
import { Strip } from "../../parts/Strip";
import { VirtualRows } from "../../parts/VirtualRows";
import { t } from "../../text";
import { moment, stretch, time } from "../../text/figures";
import { sectionQuery, useWhere } from "../Assessment";
import { GiveOut } from "../key/GiveOut";
import { FilesBroughtIn } from "./FilesBroughtIn";
import { LateAnswers } from "./LateAnswers";
import { SeenAfterwards } from "./PaperAfter";
import { SittingTimes } from "./SittingTimes";

type Row = Schemas["MonitorRow"];
type View = Schemas["MonitorView"];

/** A row a student: how it came in, a cell an item, last change, state. Live. */
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
      {(view) => (
        <Sheet margin={<CollectMargin assessment={assessment} view={view} />}>
          {view.sittings.length === 0 ? (
            <Empty title={t("Not given out yet.")}>
              {t("Give it out to a section in the margin, or bring in answers from a file.")}
            </Empty>
          ) : (
            <>
              <Counts view={view} />
              <LateAnswers assessment={assessment} section={section} />
              <Rows view={view} />
            </>
          )}
        </Sheet>
      )}
    </Loaded>
  );
}

function Counts({ view }: { view: View }) {
  const big = "font-script text-[1.3rem] font-semibold";
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-rule px-5 py-2">
      <p aria-live="polite" className="flex gap-6 text-soft">
        <span>
          <strong className={`${big} text-ink`}>{view.in}</strong> {t("handed in")}
        </span>
        <span>
          <strong className={`${big} text-ink`}>{view.working}</strong> {t("in progress")}
        </span>
        <span>
          <strong className={`${big} text-waiting`}>{view.notStarted}</strong> {t("not started")}
        </span>
      </p>
      <div className="ml-auto flex flex-wrap items-center gap-4">
        {view.sittings.length === 1 && view.sittings[0] && <Closing sitting={view.sittings[0]} />}
      </div>
    </div>
  );
}

function Closing({ sitting }: { sitting: Schemas["SittingLine"] }) {
  const client = useQueryClient();
  const [now, setNow] = useState(Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  const more = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/sittings/{sitting}/time", {
          params: { path: { sitting: sitting.id } },
          body: { minutes: 10 },
        }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["assessment"] }),
  });
  const left = (Date.parse(sitting.closes) - now) / 1000;
  const opensIn = (Date.parse(sitting.opens) - now) / 1000;
  return (
    <>
      <span className="text-soft">
        {opensIn > 0 ? (
          t("opens {{when}}", { when: moment(sitting.opens) })
        ) : left > 86_400 ? (
          t("closes {{when}}", { when: moment(sitting.closes) })
        ) : left > 0 ? (
          <>
            {t("closes in")} <strong className="text-ink">{stretch(left)}</strong>
          </>
        ) : (
          t("closed {{when}}", { when: moment(sitting.closes) })
        )}
      </span>
      <Button onClick={() => more.mutate()} disabled={more.isPending}>
        {left > 0 ? t("Add 10 minutes") : t("Reopen for 10 minutes")}
      </Button>
      <Trouble error={more.error} />
    </>
  );
}

const WAYS = { SCREEN: "on screen", FILE: "from a file", TYPED: "typed in", PAPER: "on paper" };

function Rows({ view }: { view: View }) {
  return (
    <section className="overflow-x-auto" aria-label={t("Students")}>
      <table className="w-full">
        <thead>
          <tr className="border-b border-rule text-left text-small text-soft">
            <th scope="col" className="py-2 pl-5 font-normal">
              {t("Student")}
            </th>
            <th scope="col" className="font-normal">
              {t("How")}
            </th>
            <th scope="col" className="font-normal">
              {t("Questions 1 to {{n}}", { n: view.items })}
            </th>
            <th scope="col" className="font-normal">
              {t("Last change")}
            </th>
            <th scope="col" className="pr-5 text-right font-normal">
              {t("State")}
            </th>
          </tr>
        </thead>
        <VirtualRows rows={view.rows} height={36} columns={5}>
          {(r) => <StudentRow key={r.student + r.section} row={r} />}
        </VirtualRows>
      </table>
    </section>
  );
}

function StudentRow({ row }: { row: Row }) {
  const said = row.cells.filter(Boolean).length;
  return (
    <tr className="border-b border-rule">
      <th
        scope="row"
        className="py-1.5 pl-5 min-w-44 max-w-80 wrap-anywhere text-left"
      >{`${row.family}, ${row.given}`}</th>
      <td className="pr-3 text-small text-soft">{row.way ? t(WAYS[row.way]) : ""}</td>
      <td className="pr-3">
        <Strip
          size="w-6"
          cells={row.cells.map((c, i) =>
            row.stage === "WORKING" && i === row.at ? "here" : c ? "done" : "none",
          )}
        />
        <span className="sr-only">{t("{{n}} of {{all}} answered", { n: said, all: row.cells.length })}</span>
      </td>
      <td className="text-small text-soft">{row.lastChange ? time(row.lastChange) : "–"}</td>
      <td className="pr-5 text-right font-semibold whitespace-nowrap">
        {row.stage === "IN" && t("handed in")}
        {row.stage === "WORKING" && <span className="text-waiting">{t("in progress")}</span>}
        {row.stage === "NOT_STARTED" && <span className="text-soft">{t("not started")}</span>}
        {row.stage === "WORKING" && row.stuck !== null && (
          <span className="block text-small font-normal text-soft">
            {t("no change for {{n}} min", { n: row.stuck })}
          </span>
        )}
      </td>
    </tr>
  );
}

function CollectMargin({ assessment, view }: { assessment: string; view: View }) {
  const stuck = view.rows.filter((r) => r.stage === "WORKING" && r.stuck !== null);
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
      {stuck.map((r) => (
        <MarginPart key={r.student} title={t("{{name}} may be stuck", { name: `${r.given} ${r.family}` })}>
          <Note by="waiting">
            {r.at === null
              ? t("No change for {{count}} minutes.", { count: r.stuck })
              : t("No change for {{count}} minutes at question {{n}}.", { count: r.stuck, n: r.at + 1 })}
          </Note>
        </MarginPart>
      ))}
      {view.sittings.length > 0 && (
        <>
          <SittingTimes
            assessment={assessment}
            sittings={view.sittings}
            begun={new Set(view.rows.filter((r) => r.stage !== "NOT_STARTED").map((r) => r.section))}
          />
          <SeenAfterwards sittings={view.sittings} />
        </>
      )}
      <FilesBroughtIn assessment={assessment} />
      <GiveOut assessment={assessment} />
    </>
  );
}
