import { Button } from "../../../parts/Button";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { moment, stretch } from "../../../text/figures";
import type { useReminder, useRunning, View } from "./useRunning";

const BIG = "font-script text-[1.3rem] font-semibold";

/** How many are in, at work, not begun; when it closes, and what can be done for all. */
export function Counts({
  view,
  now,
  running,
  remind,
}: {
  view: View;
  now: number;
  running: ReturnType<typeof useRunning>;
  remind: ReturnType<typeof useReminder>;
}) {
  const one = view.sittings.length === 1 ? view.sittings[0] : undefined;
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-2 border-b border-rule px-5 py-2">
      <p aria-live="polite" className="flex gap-6 text-soft">
        <span>
          <strong className={`${BIG} text-ink`}>{view.in}</strong> {t("handed in")}
        </span>
        <span>
          <strong className={`${BIG} text-ink`}>{view.working}</strong> {t("in progress")}
        </span>
        <span>
          <strong className={`${BIG} text-waiting`}>{view.notStarted}</strong> {t("not started")}
        </span>
      </p>
      {one && mayRemind(view, now) && (
        <Button hotkey="R" disabled={remind.isPending} onClick={() => remind.mutate(one.id)}>
          {t("Remind {{count}} by mail", { count: view.notStarted })}
        </Button>
      )}
      {remind.data && (
        <span role="status" className="text-small text-soft">
          {t("{{count}} letters are on their way.", { count: remind.data.letters })}
        </span>
      )}
      <Trouble error={remind.error} />
      {one && <Closing line={one} now={now} running={running} />}
    </div>
  );
}

/** Whether there is anybody to remind of something that is open. */
export function mayRemind(view: View, now: number): boolean {
  const one = view.sittings.length === 1 ? view.sittings[0] : undefined;
  return (
    one !== undefined && view.notStarted > 0 && now < Date.parse(one.closes) && now >= Date.parse(one.opens)
  );
}

const DAY = 86_400;

function Closing({
  line,
  now,
  running,
}: {
  line: View["sittings"][number];
  now: number;
  running: ReturnType<typeof useRunning>;
}) {
  const left = (Date.parse(line.closes) - now) / 1000;
  return (
    <div className="ml-auto flex flex-wrap items-center gap-4">
      <span className="text-soft">
        {Date.parse(line.opens) > now ? (
          t("opens {{when}}", { when: moment(line.opens) })
        ) : left > DAY ? (
          t("closes {{when}}", { when: moment(line.closes) })
        ) : left > 0 ? (
          <>
            {t("closes in")} <strong className="text-ink">{stretch(left)}</strong>
          </>
        ) : (
          t("closed {{when}}", { when: moment(line.closes) })
        )}
      </span>
      <Button hotkey="+" onClick={() => running.moreForAll(line, left <= 0)} disabled={running.pending}>
        {left > 0 ? t("5 min more for all") : t("Reopen for 10 minutes")}
      </Button>
    </div>
  );
}
