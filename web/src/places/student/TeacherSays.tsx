import { useState } from "react";
import { Link } from "react-router";
import { TextButton } from "../../parts/Button";
import { t } from "../../text";
import { time } from "../../text/figures";
import type { useSittingClock } from "./clock/useSittingClock";

const BAR = "mb-4 border-l-4 px-3 py-2";

/** What happens to a sitting while one works: its end, a pause, a line from the teacher. Heard as well as seen. */
export function TeacherSays({
  clock,
  attempt,
  left,
}: {
  clock: ReturnType<typeof useSittingClock>;
  attempt: string;
  left: boolean;
}) {
  const [read, setRead] = useState<string[]>([]);
  const lines = clock.lines.filter((line) => !read.includes(line.id));
  return (
    <>
      {clock.aside ? (
        <p role="alert" className={`${BAR} border-waiting bg-waiting-wash font-semibold`}>
          {clock.asideByStudent
            ? t("You have handed this in, and change your answers in another window.")
            : t("Your teacher has set this attempt aside. What you wrote is kept.")}{" "}
          {clock.goesOnIn && clock.goesOnIn !== attempt ? (
            <Link to={`/sit/${clock.goesOnIn}`} className="underline">
              {t("Go on in the one that is open")}
            </Link>
          ) : (
            <Link to="/todo" className="underline">
              {t("Back to To do")}
            </Link>
          )}
        </p>
      ) : clock.paused ? (
        <p role="alert" className={`${BAR} border-waiting bg-waiting-wash font-semibold`}>
          {t("Your teacher has paused this. Your time stands still, and everything so far is kept.")}
        </p>
      ) : (
        clock.isOver && (
          <p role="alert" className={`${BAR} border-waiting bg-waiting-wash font-semibold`}>
            {t("Time is up. Everything that was saved counts and is being handed in for you.")}
          </p>
        )
      )}
      {clock.isLate && !clock.isOver && (
        <p role="status" className={`${BAR} border-waiting`}>
          {t("The time to hand in is over since {{time}}. You can still hand in; it counts as late.", {
            time: time(clock.lateFrom ?? ""),
          })}
        </p>
      )}
      {left && (
        <p role="status" className={`${BAR} border-waiting`}>
          {t("You left this page. Your teacher sees how often.")}
        </p>
      )}
      <div aria-live="assertive">
        {lines.map((line) => (
          <p key={line.id} className={`${BAR} flex gap-3 border-by-person`}>
            <span className="min-w-0 flex-1">
              <span className="text-small text-soft">
                {t("From your teacher, {{time}}", { time: time(line.at) })}
              </span>
              <span className="block font-script text-words wrap-anywhere">{line.words}</span>
            </span>
            <TextButton className="min-h-11" onClick={() => setRead([...read, line.id])}>
              {t("I have read it")}
            </TextButton>
          </p>
        ))}
      </div>
    </>
  );
}
