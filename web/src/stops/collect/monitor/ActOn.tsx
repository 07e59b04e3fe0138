import type { FormEvent } from "react";
import { Button, TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Kbd } from "../../../parts/Keys";
import { MarginPart, Note } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import { time } from "../../../text/figures";
import { GuestSaid } from "./GuestSaid";
import { SlipForOne } from "./SlipForOne";
import { nameOf, type Row, type useRunning, type View } from "./useRunning";

export const LINE_FIELD = "line-to-students";

/** What can be done for the chosen student, or for all, while a sitting runs; what was done last can be undone. */
export function ActOn({
  assessment,
  view,
  row,
  now,
  running,
  onNobody,
}: {
  assessment: string;
  view: View;
  row: Row | undefined;
  now: number;
  running: ReturnType<typeof useRunning>;
  onNobody: () => void;
}) {
  const sitting = view.sittings.find((s) => (row ? s.id === row.sitting : true));
  const busy = view.rows.filter((r) => r.stage === "WORKING" && r.sitting === sitting?.id);
  const paused = busy.filter((r) => r.paused);
  const anybody = view.rows.some((r) => r.stage === "WORKING");
  if (!sitting || (!row && !anybody && !running.last && !running.error)) {
    return null;
  }
  return (
    <MarginPart title={row ? nameOf(row) : t("For all who are at work")}>
      {row?.guest && <GuestSaid assessment={assessment} row={row} />}
      {row?.stuck != null && (
        <Note by="waiting">
          {row.at === null
            ? t("No change for {{count}} minutes.", { count: row.stuck })
            : t("No change for {{count}} minutes at question {{n}}.", { count: row.stuck, n: row.at + 1 })}
        </Note>
      )}
      {row ? (
        <OfOne row={row} now={now} running={running} />
      ) : (
        busy.length > 0 &&
        (view.sittings.length === 1 ? (
          <div className="flex flex-wrap gap-2">
            {paused.length < busy.length && (
              <Button
                hotkey="P"
                disabled={running.pending}
                onClick={() => running.pause(busy.filter((r) => !r.paused))}
              >
                {t("Pause for {{count}}", { count: busy.length - paused.length })}
              </Button>
            )}
            {paused.length > 0 && (
              <Button disabled={running.pending} onClick={() => running.goOn(paused)}>
                {t("Go on for {{count}}", { count: paused.length })}
              </Button>
            )}
          </div>
        ) : (
          <p className="text-small text-soft">{t("Choose one section above to act for all of it.")}</p>
        ))
      )}
      {(row ? row.stage === "WORKING" : view.sittings.length === 1 && anybody) && (
        <SayLine
          key={`${sitting.id} ${row?.student}`}
          name={`line:${sitting.id}:${row?.student ?? "all"}`}
          label={row ? t("A line to {{name}}", { name: row.given }) : t("A line to all")}
          pending={running.pending}
          onSay={(words, onSaid) => running.say(sitting, row ?? null, words, onSaid)}
        />
      )}
      <Trouble error={running.error} />
      {running.last && (
        <p role="status" className="mt-3">
          {t("Done: {{what}}.", { what: running.last.words })}{" "}
          <TextButton disabled={running.pending} onClick={running.undo}>
            {t("Undo")}
          </TextButton>{" "}
          <Kbd>U</Kbd>
        </p>
      )}
      {row && (
        <p className="mt-3 text-small">
          <TextButton onClick={onNobody}>{t("Act for all instead")}</TextButton> <Kbd>Esc</Kbd>
        </p>
      )}
      <Said view={view} />
    </MarginPart>
  );
}

/** What one has said to students and stands on their pages. */
function Said({ view }: { view: View }) {
  const nameFor = (student: string | null) => {
    const row = view.rows.find((r) => r.student === student);
    return row ? nameOf(row) : t("all");
  };
  return (
    view.lines.length > 0 && (
      <ul className="mt-3 grid gap-1 text-small">
        {view.lines.slice(0, 5).map((line) => (
          <li key={line.id} className="border-l-3 border-by-person pl-2">
            <span className="text-soft">
              {t("{{time}} to {{name}}:", { time: time(line.at), name: nameFor(line.student) })}
            </span>{" "}
            <span className="font-script">{line.words}</span>
          </li>
        ))}
      </ul>
    )
  );
}

function OfOne({ row, now, running }: { row: Row; now: number; running: ReturnType<typeof useRunning> }) {
  const left = row.due ? (Date.parse(row.due) - now) / 60_000 : 0;
  if (row.stage === "NOT_STARTED") {
    return (
      <>
        <p className="text-small text-soft">
          {t("Has not begun. More time or other dates are set at the sitting.")}
        </p>
        {!row.guest && <SlipForOne key={row.student} row={row} />}
      </>
    );
  }
  if (row.stage === "IN") {
    return (
      <div className="flex flex-wrap gap-2">
        {row.way === "SCREEN" && (
          <Button hotkey="O" disabled={running.pending} onClick={() => running.reopen(row)}>
            {t("Open again for 10 minutes")}
          </Button>
        )}
        <Button disabled={running.pending} onClick={() => running.setAside(row)}>
          {t("Set aside")}
        </Button>
        <p className="text-small text-soft">
          {t("What is set aside is kept and counts nowhere. While it is open, the student can begin anew.")}
        </p>
      </div>
    );
  }
  return (
    <div className="flex flex-wrap gap-2">
      <Button hotkey="+" disabled={running.pending} onClick={() => running.more(row)}>
        {t("5 minutes more")}
      </Button>
      {row.paused ? (
        <Button hotkey="P" disabled={running.pending} onClick={() => running.goOn([row])}>
          {t("Go on")}
        </Button>
      ) : (
        <Button hotkey="P" disabled={running.pending} onClick={() => running.pause([row])}>
          {t("Pause")}
        </Button>
      )}
      <Button hotkey="H" disabled={running.pending} onClick={() => running.handIn(row, left)}>
        {t("Hand in as it is")}
      </Button>
      <Button disabled={running.pending} onClick={() => running.setAside(row)}>
        {t("Set aside, to begin anew")}
      </Button>
    </div>
  );
}

function SayLine({
  name,
  label,
  pending,
  onSay,
}: {
  /** Under which what is typed is kept on the device until it is said. */
  name: string;
  label: string;
  pending: boolean;
  onSay: (words: string, onSaid: () => void) => void;
}) {
  const [words, setWords] = useTyped(name, "");
  const onSubmit = (e: FormEvent) => {
    e.preventDefault();
    onSay(words.trim(), () => setWords(""));
  };
  return (
    <form onSubmit={onSubmit} className="mt-3 grid gap-2">
      <Field
        id={LINE_FIELD}
        label={label}
        value={words}
        maxLength={500}
        onChange={(e) => setWords(e.target.value)}
      />
      <p className="text-small text-soft">{t("It stands on the page within a quarter of a minute.")}</p>
      <Button
        type="submit"
        look="quiet"
        hotkey="/"
        className="justify-self-start"
        disabled={pending || words.trim() === ""}
      >
        {t("Say it")}
      </Button>
    </form>
  );
}
