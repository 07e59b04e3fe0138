import { MarginPart } from "../../../parts/Sheet";
import { t } from "../../../text";
import { moment, time } from "../../../text/figures";
import { dayOf } from "../../../text/zone";
import { type SittingDraft, timesOf } from "./draft";
import { moreInWords, type Stretch, toScale } from "./scale";
import type { SittingView } from "./useSitting";

/** What is longer than this has days on its line, not hours. */
const LONG = 36 * 3_600_000;

/** The sitting drawn to scale in time: everybody's stretch, the late one, and each that is different. */
export function ToScale({ draft, different }: { draft: SittingDraft; different: SittingView["different"] }) {
  const times = timesOf(draft);
  if (!times || times.opens >= times.closes) {
    return null;
  }
  const stretches: Stretch[] = [
    {
      key: "all",
      words: t("all, {{from}} to {{to}}", { from: told(times.opens), to: told(times.closes, times.opens) }),
      from: Date.parse(times.opens),
      to: Date.parse(times.closes),
      own: false,
      late: false,
    },
  ];
  if (times.lateUntil && times.lateUntil > times.closes) {
    stretches.push({
      key: "late",
      words: t("late, until {{to}}", { to: told(times.lateUntil, times.opens) }),
      from: Date.parse(times.closes),
      to: Date.parse(times.lateUntil),
      own: false,
      late: true,
    });
  }
  for (const d of different) {
    const more = moreInWords(d.percent, d.more);
    stretches.push({
      key: d.student,
      words: `${d.given} ${d.family}${more ? `: ${more}` : ""}`,
      from: Date.parse(d.ownOpens),
      to: Date.parse(d.ownCloses),
      own: true,
      late: false,
    });
  }
  const scale = toScale(stretches);
  const isShort = scale.to - scale.from < LONG;
  return (
    <MarginPart title={t("The sitting, to scale")}>
      <div aria-hidden="true" className="relative mb-1 h-5 text-small text-soft">
        {scale.ticks.map((tick) => (
          <span
            key={tick}
            className="absolute -translate-x-1/2 whitespace-nowrap"
            style={{ left: `${scale.place(tick) * 88}%` }}
          >
            {isShort ? time(new Date(tick).toISOString()) : dayOf(new Date(tick)).slice(5)}
          </span>
        ))}
      </div>
      <ul className="grid gap-2 border-t border-rule pt-2">
        {stretches.map((s) => (
          <li key={s.key}>
            <span
              aria-hidden="true"
              className={`block h-3 ${s.own ? "bg-by-person" : s.late ? "bg-by-rule-wash border border-by-rule" : "bg-by-rule"}`}
              style={{
                marginLeft: `${scale.place(s.from) * 88}%`,
                width: `${Math.max(1, (scale.place(s.to) - scale.place(s.from)) * 88)}%`,
              }}
            />
            <span className="text-small text-soft">{s.words}</span>
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}

/** A moment; only its time where it is on the day of another one. */
const told = (instant: string, beside = ""): string =>
  beside && dayOf(new Date(instant)) === dayOf(new Date(beside)) ? time(instant) : moment(instant);
