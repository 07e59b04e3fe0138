import type { Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Kbd, useKeys } from "../../parts/Keys";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { moment, points, pointsInWords } from "../../text/figures";
import { useLateAnswers } from "./useLateAnswers";

type Late = Schemas["LateLine"];

/** What was written in time and came when the time was over, with what it would change; one key takes the first. */
export function LateAnswers({ assessment, section }: { assessment: string; section: string | null }) {
  const { query, decide } = useLateAnswers(assessment, section);
  const all = query.data ?? [];
  const first = all.find((l) => !l.counts && l.now);
  useKeys([
    [
      "t",
      t("take the first late answer"),
      () => first && !decide.isPending && decide.mutate({ answer: first.id, how: "take" }),
    ],
  ]);
  if (all.length === 0) {
    return null;
  }
  const waiting = all.filter((l) => !l.counts).length;
  return (
    <section aria-label={t("Late answers")} className="border-b border-rule px-5 py-3">
      <h2 className="font-script text-words font-semibold">{t("Late answers")}</h2>
      <p className="mb-2 text-small text-soft">
        {waiting > 0
          ? t(
              "{{count}} answers were written in time, by the students’ devices, and came when the time was over. They count when you take them.",
              { count: waiting },
            )
          : t("Every late answer is decided.")}
      </p>
      <ul>
        {all.map((late) => (
          <LateRow
            key={late.id}
            late={late}
            hasKey={late.id === first?.id}
            pending={decide.isPending}
            onDecide={(how) => decide.mutate({ answer: late.id, how })}
          />
        ))}
      </ul>
      <Trouble error={query.error ?? decide.error} />
    </section>
  );
}

function LateRow({
  late,
  hasKey,
  pending,
  onDecide,
}: {
  late: Late;
  hasKey: boolean;
  pending: boolean;
  onDecide: (how: "take" | "leave" | "take-back") => void;
}) {
  return (
    <li className="grid gap-x-4 gap-y-1 border-t border-rule py-2 sm:grid-cols-[1fr_auto]">
      <div className="min-w-0 wrap-anywhere">
        <strong>{late.student}</strong>, {t("question {{n}}", { n: late.number })}:{" "}
        <span className="font-script">{late.answer || t("answer taken back")}</span>
        <span className="block text-small text-soft">
          {late.instead === null
            ? t("Nothing was handed in here.")
            : t("Handed in: “{{answer}}”.", { answer: late.instead })}{" "}
          {t("Written {{written}}, came {{came}}.", {
            written: moment(late.writtenAt),
            came: moment(late.cameAt),
          })}{" "}
          <Change late={late} />
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-4">
        {late.counts ? (
          <TextButton disabled={pending} onClick={() => onDecide("take-back")}>
            {t("Take back")}
          </TextButton>
        ) : (
          <>
            <TextButton disabled={pending || !late.now} onClick={() => onDecide("take")}>
              {t("Take")} {hasKey && <Kbd>T</Kbd>}
            </TextButton>
            <TextButton disabled={pending} onClick={() => onDecide("leave")}>
              {t("Leave out")}
            </TextButton>
          </>
        )}
      </div>
    </li>
  );
}

function Change({ late }: { late: Late }) {
  if (late.counts) {
    return <strong className="text-by-person">{t("It counts.")}</strong>;
  }
  if (!late.now) {
    return <>{t("The attempt is being handed in.")}</>;
  }
  return (
    <strong>
      {t("{{now}} → {{after}}, of {{points}}", {
        now: worth(late.now),
        after: worth(late.then),
        points: pointsInWords(late.now.of),
      })}
    </strong>
  );
}

function worth(mark: Schemas["MarkView"]): string {
  if (mark.state === "read") {
    return t("to be read");
  }
  return mark.state === "settle" ? t("a doubt") : points(mark.points);
}
