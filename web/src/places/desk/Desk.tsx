import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { useKeys } from "../../parts/Keys";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { Strip } from "../../parts/Strip";
import { Work } from "../../parts/Work";
import { locale, t } from "../../text";
import { ago, day, moment, time } from "../../text/figures";
import { fieldTime, zone } from "../../text/zone";
import { useNewAssessment } from "../courses/NewAssessment";
import { Troubles } from "./Troubles";

type Pile = Schemas["Pile"];

/** The teacher's home: the piles that wait, what is being taken now, and ways to begin. */
export function Desk() {
  const desk = useQuery({
    queryKey: ["desk"],
    queryFn: () => ok(api.GET("/api/desk")),
    refetchInterval: 30_000,
  });
  return (
    <Loaded query={desk}>
      {(view) => (
        <Sheet margin={<DeskMargin view={view} />}>
          <Heading piles={view.piles} />
          {view.piles.length === 0 && (
            <Empty title={t("Nothing is waiting.")}>
              {t("Answers, doubts and queries that need you will lie here in piles.")}
            </Empty>
          )}
          <ul>
            {view.piles.map((p) => (
              <PileRow key={p.work + p.assessment + p.section} pile={p} />
            ))}
          </ul>
          <TakenNow taken={view.beingTaken} />
          <Beginnings />
        </Sheet>
      )}
    </Loaded>
  );
}

function Heading({ piles }: { piles: Pile[] }) {
  const now = new Date();
  const weekday = new Intl.DateTimeFormat(locale, { weekday: "long", timeZone: zone() }).format(now);
  const hour = Number(fieldTime(now).slice(11, 13));
  const part = hour < 12 ? t("morning") : hour < 18 ? t("afternoon") : t("evening");
  const oldest = piles.map((p) => p.since).find((s) => s !== null);
  const days = oldest ? Math.round((Date.now() - Date.parse(oldest)) / 86_400_000) : 0;
  return (
    <div className="px-6 pt-5 pb-4">
      <h1 className="inline font-script text-title font-semibold">{`${weekday} ${part}`}</h1>
      <p className="ml-3 inline text-soft">
        {piles.length > 0 && t("{{count}} piles are waiting.", { count: piles.length })}{" "}
        {days > 0 && t("The oldest is {{count}} days old.", { count: days })}
      </p>
    </div>
  );
}

const WORDS = {
  READ: ["answers to read", "Read", "read", "text-waiting"],
  SETTLE: ["doubts to settle", "Settle", "settle", "text-waiting"],
  QUERIES: ["queries from students", "Reply", "", "text-by-person"],
  HAND_BACK: ["results to hand back", "Hand back", "hand-back", "text-by-rule"],
} as const;

function PileRow({ pile }: { pile: Pile }) {
  const navigate = useNavigate();
  const [what, verb, stop, ink] = WORDS[pile.work];
  const to = pile.work === "QUERIES" ? "/queries" : `/a/${pile.assessment}/${stop}?section=${pile.section}`;
  return (
    <li className="flex items-center gap-5 border-b border-rule px-6 py-2.5">
      <span className={`w-10 text-right font-script text-title font-semibold ${ink}`}>{pile.count}</span>
      <span className="min-w-0 flex-1">
        <span className="block">
          <strong>{t(what, { count: pile.count })}</strong>
          <span className="text-soft">
            {" · "}
            <span className="font-script">{pile.title}</span>
            {pile.sectionName && `, ${pile.sectionName}`}
          </span>
        </span>
        <span className="block text-small text-soft">{details(pile)}</span>
      </span>
      <Button onClick={() => void navigate(to)}>{t(verb)}</Button>
    </li>
  );
}

function details(pile: Pile): string {
  if (pile.work === "HAND_BACK") {
    return t("all marks decided");
  }
  const parts = [];
  if (pile.since) {
    parts.push(ago(pile.since));
  }
  if (pile.seconds) {
    parts.push(t("about {{n}} min at your pace", { n: Math.max(1, Math.round(pile.seconds / 60)) }));
  }
  return parts.join(" · ");
}

function TakenNow({ taken }: { taken: Schemas["BeingTaken"][] }) {
  if (taken.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="taken">
      <h2 id="taken" className="border-b border-rule px-6 pt-6 pb-3 text-small font-semibold text-soft">
        {t("Being taken now")}
      </h2>
      {taken.map((s) => (
        <Link
          key={s.assessment + s.section}
          to={`/a/${s.assessment}/collect?section=${s.section}`}
          className="grid grid-cols-[1fr_auto] items-center gap-x-6 border-b border-rule px-6 py-2.5 sm:grid-cols-[16rem_1fr_auto]"
        >
          <span>
            <span className="block font-script font-semibold">{s.title}</span>
            <span className="text-small text-soft">
              {s.sectionName} · {s.closes && t("closes {{when}}", { when: moment(s.closes) })}
            </span>
          </span>
          <span className="hidden sm:block">
            <Strip
              cells={Array.from({ length: s.expected }, (_, i) =>
                i < s.in ? "done" : i < s.in + s.working ? "here" : "none",
              )}
            />
          </span>
          <span className="text-right text-small text-soft">
            {t("{{in}} of {{all}} handed in", { in: s.in, all: s.expected })}
            {s.working > 0 && ` · ${t("{{n}} working", { n: s.working })}`}
          </span>
        </Link>
      ))}
    </section>
  );
}

function Beginnings() {
  const navigate = useNavigate();
  const begin = useNewAssessment();
  const bringIn = () => void navigate("/courses");
  useKeys([
    ["k", t("write a key"), () => begin.ask()],
    ["i", t("bring in answers or a roster"), bringIn],
  ]);
  return (
    <div className="flex flex-wrap gap-3 px-6 py-5">
      <Button hotkey="K" onClick={() => begin.ask()}>
        {t("Write a key")}
      </Button>
      <Button hotkey="I" onClick={bringIn}>
        {t("Choose a course to bring in answers")}
      </Button>
      {begin.form}
    </div>
  );
}

function DeskMargin({ view }: { view: Schemas["DeskView"] }) {
  return (
    <>
      <Troubles troubles={view.troubles} />
      {view.work.length > 0 && (
        <MarginPart title={t("In the background")}>
          {view.work.map((job) => (
            <Work key={job.id} id={job.id} />
          ))}
        </MarginPart>
      )}
      <MarginPart title={t("Queries from students")}>
        {view.queries.length === 0 && <p className="text-soft">{t("No queries.")}</p>}
        {view.queries.map((q) => (
          <Note key={q.id} by="person">
            <Link to="/queries">
              <strong>{q.student}</strong>{" "}
              {t("asks about question {{n}} of {{title}}:", { n: q.number, title: q.title })}
              <em className="mt-1 block font-script">“{q.words}”</em>
            </Link>
          </Note>
        ))}
      </MarginPart>
      {view.looked.length > 0 && (
        <MarginPart title={t("Results opened")}>
          {view.looked.map((l) => (
            <Note key={l.assessment}>
              {t("{{n}} of {{all}} have opened their result for", { n: l.seen, all: l.handedBack })}{" "}
              <Link to={`/a/${l.assessment}/hand-back`} className="font-script underline">
                {l.title}
              </Link>
            </Note>
          ))}
        </MarginPart>
      )}
      <MarginPart title={t("Coming up")}>
        {view.coming.length === 0 && <p className="text-soft">{t("No sitting opens or closes soon.")}</p>}
        <ul className="text-small">
          {view.coming.map((c) => (
            <li key={c.assessment + c.sectionName + c.at} className="py-0.5">
              {new Date(c.at).toDateString() === new Date().toDateString() ? time(c.at) : day(c.at)} ·{" "}
              {c.title} {c.opens ? t("opens for") : t("closes for")} {c.sectionName}
            </li>
          ))}
        </ul>
      </MarginPart>
    </>
  );
}
