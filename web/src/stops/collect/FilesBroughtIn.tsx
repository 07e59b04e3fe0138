import { useState } from "react";
import { Button, TextButton } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { type BroughtIn, useBroughtIn } from "./useBroughtIn";

/** The files of answers that came in; each can be taken back as a whole, and comes in again when it is put right. */
export function FilesBroughtIn({ assessment }: { assessment: string }) {
  const { files, error, takeBack } = useBroughtIn(assessment);
  const [asked, setAsked] = useState<string | null>(null);
  if (files.length === 0) {
    return <Trouble error={error} />;
  }
  return (
    <MarginPart title={t("Files that were brought in")}>
      <ul>
        {files.map((f) => (
          <li key={f.id} className="mb-2">
            <strong className="wrap-anywhere">{f.file}</strong>
            <p className="text-small text-soft">
              {f.takenBackAt
                ? t("{{who}}, {{when}} · taken back {{back}}", {
                    who: f.by,
                    when: moment(f.at),
                    back: moment(f.takenBackAt),
                  })
                : t("{{who}}, {{when}} · {{count}} students", {
                    who: f.by,
                    when: moment(f.at),
                    count: f.students,
                  })}
            </p>
            {!f.takenBackAt && f.handedBack > 0 && (
              <p className="text-small">
                {t("{{count}} students have their results, so this file stays.", { count: f.handedBack })}
              </p>
            )}
            {!f.takenBackAt && f.handedBack === 0 && asked !== f.id && (
              <TextButton className="text-small" onClick={() => setAsked(f.id)}>
                {t("Take back")}
                <span className="sr-only"> {f.file}</span>
              </TextButton>
            )}
            {asked === f.id && (
              <Effect
                file={f}
                working={takeBack.isPending}
                onTake={() =>
                  takeBack.mutate(
                    { file: f.id, withReadings: f.read > 0 },
                    { onSuccess: () => setAsked(null) },
                  )
                }
                onLeave={() => setAsked(null)}
              />
            )}
          </li>
        ))}
      </ul>
      <Trouble error={error ?? takeBack.error} />
    </MarginPart>
  );
}

/** What goes when a file is taken back. */
function Effect({
  file,
  working,
  onTake,
  onLeave,
}: {
  file: BroughtIn;
  working: boolean;
  onTake: () => void;
  onLeave: () => void;
}) {
  return (
    <Note by="waiting">
      <p>
        {t("Answers and marks of {{count}} students go. Bring the file in again at any time.", {
          count: file.students,
        })}
      </p>
      {file.read > 0 && (
        <p className="font-semibold text-waiting">
          {t("Answers of {{count}} students have been read. These marks and comments go, too.", {
            count: file.read,
          })}
        </p>
      )}
      <div className="mt-1 flex gap-2">
        <Button look="strong" disabled={working} onClick={onTake}>
          {t("Take it back")}
        </Button>
        <Button look="quiet" onClick={onLeave}>
          {t("Keep it")}
        </Button>
      </div>
    </Note>
  );
}
