import { Button } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { t } from "../../text";
import type { Bringing, View } from "./useBringIn";

const SELECT = "mt-1 w-full rounded-corner border border-rule-strong bg-sheet px-1 py-1";
const UNDECIDED = "\u0000";

/** What has to be decided before anything comes in, each kind of doubt once, with its count. */
export function WhatAsks({ view, bringing }: { view: View; bringing: Bringing }) {
  const none = view.cells.length === 0 && view.without.length === 0 && view.twice === 0 && !view.pointsAsk;
  if (none) {
    return null;
  }
  return (
    <MarginPart title={view.open > 0 ? t("{{count}} to decide", { count: view.open }) : t("Decided")}>
      {view.twice > 0 && (
        <Note by={bringing.asked.choices.twice ? "person" : "waiting"}>
          <p>{t("{{count}} rows are of students who have another row too", { count: view.twice })}</p>
          <p className="mt-1 flex gap-2">
            {(["FIRST", "LAST"] as const).map((which) => (
              <Button
                key={which}
                aria-pressed={bringing.asked.choices.twice === which}
                look={bringing.asked.choices.twice === which ? "strong" : "plain"}
                onClick={() => bringing.say({ twice: which })}
              >
                {which === "FIRST" ? t("The first counts") : t("The last counts")}
              </Button>
            ))}
          </p>
        </Note>
      )}
      {view.pointsAsk && <ZeroAndOne bringing={bringing} />}
      {view.cells.map((c) => (
        <Cell key={c.item + c.cell} cell={c} bringing={bringing} />
      ))}
      {view.without.length > 0 && <Without view={view} bringing={bringing} />}
    </MarginPart>
  );
}

/** Every cell is 0 or 1, and questions are worth something else. */
function ZeroAndOne({ bringing }: { bringing: Bringing }) {
  const said = bringing.asked.choices.pointsAs;
  return (
    <Note by={said ? "person" : "waiting"}>
      <p>{t("Only 0 and 1 stand for points, and some questions are worth something else")}</p>
      <p className="mt-1 flex flex-wrap gap-2">
        {(
          [
            ["SHARES", t("1 is right: all points")],
            ["POINTS", t("1 is one point")],
          ] as const
        ).map(([as, words]) => (
          <Button
            key={as}
            aria-pressed={said === as}
            look={said === as ? "strong" : "plain"}
            onClick={() => bringing.say({ pointsAs: as })}
          >
            {words}
          </Button>
        ))}
      </p>
    </Note>
  );
}

/** Where a cell stands, and why it asks. */
function where(c: Asking): string {
  if (c.item === "*") {
    return t("in {{count}} cells of points", { count: c.count });
  }
  if (c.item === "") {
    return t("in {{count}} cells", { count: c.count });
  }
  return c.points
    ? t("in {{count}} cells of {{column}}, cannot be its points", { count: c.count, column: c.column })
    : t("in {{count}} cells of {{column}}, is no option", { count: c.count, column: c.column });
}

function meaning(c: Asking, option: Asking["options"][number]): string {
  if (c.item === "*") {
    return t("not asked: counts nothing");
  }
  return c.points ? t("{{points}} points, all there are", { points: option.id }) : option.text || option.id;
}

type Asking = View["cells"][number];

function Cell({ cell: c, bringing }: { cell: Asking; bringing: Bringing }) {
  return (
    <Note by={c.decided === null ? "waiting" : "person"}>
      <label>
        <span className="font-script">{c.cell === "" ? t("nothing") : `“${c.cell}”`}</span>{" "}
        <span className="text-small text-soft">{where(c)}</span>
        <select
          className={SELECT}
          aria-label={
            c.cell === "" ? t("What an empty cell means") : t("What “{{cell}}” means", { cell: c.cell })
          }
          value={c.decided ?? UNDECIDED}
          onChange={(e) => bringing.cell(c.item, c.cell, e.target.value)}
        >
          {c.decided === null && <option value={UNDECIDED}>{t("choose…")}</option>}
          <option value="">{c.points ? t("no answer: 0 points") : t("no answer")}</option>
          {c.item === "" && <option value="=">{t("the answer as it is, where it is typed")}</option>}
          {c.options.map((o) => (
            <option key={o.id} value={o.id}>
              {meaning(c, o)}
            </option>
          ))}
        </select>
      </label>
    </Note>
  );
}

function Without({ view, bringing }: { view: View; bringing: Bringing }) {
  const items = view.without.map((w) => w.item);
  const decided = view.without[0]?.decided;
  const same = view.without.every((w) => w.decided === decided);
  return (
    <Note by={view.without.some((w) => w.decided === null) ? "waiting" : "person"}>
      <p>{t("{{count}} questions have no column", { count: view.without.length })}</p>
      <ul className="text-small">
        {view.without.slice(0, 8).map((w) => (
          <li key={w.item}>
            {w.number}. <span className="font-script">{w.prompt.slice(0, 60)}</span>
          </li>
        ))}
      </ul>
      <p className="mt-1 flex flex-wrap gap-2">
        {(
          [
            ["NOT_ASKED", t("Not asked: counts nothing")],
            ["NO_ANSWER", t("Asked, no answer")],
          ] as const
        ).map(([as, words]) => (
          <Button
            key={as}
            aria-pressed={same && decided === as}
            look={same && decided === as ? "strong" : "plain"}
            onClick={() => bringing.missing(items, as)}
          >
            {words}
          </Button>
        ))}
      </p>
    </Note>
  );
}
