import { useEffect, useRef, useState } from "react";
import { t } from "../../text";
import { stretch } from "../../text/figures";
import { TextButton } from "../Button";
import { FaultLine } from "../Field";
import { named, recordingType } from "./recording";

/** So long a recording fits into a file that is taken. */
const LONGEST_S = 600;

/**
 * Records sound with the browser's microphone. What could not be put in is kept until it could: nobody speaks the same
 * words twice.
 *
 * @param onFile puts a recording in; what it throws is told by whoever gave it
 */
export function Recorder({ onFile }: { onFile: (file: File) => Promise<void> }) {
  const [seconds, setSeconds] = useState<number | null>(null);
  const [fault, setFault] = useState("");
  const [kept, setKept] = useState<File | null>(null);
  const deliver = (file: File) =>
    onFile(file).then(
      () => setKept(null),
      () => setKept(file),
    );
  const recorder = useRef<MediaRecorder | null>(null);
  const stop = () => recorder.current?.state === "recording" && recorder.current.stop();
  // Who leaves the editor leaves no open microphone behind.
  useEffect(
    () => () => {
      if (recorder.current) {
        recorder.current.onstop = null;
        release(recorder.current);
      }
    },
    [],
  );
  useEffect(() => {
    if (seconds === null) {
      return;
    }
    const tick = setTimeout(() => (seconds + 1 >= LONGEST_S ? stop() : setSeconds(seconds + 1)), 1000);
    return () => clearTimeout(tick);
  });
  const begin = async () => {
    setFault("");
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const type = recordingType((wanted) => MediaRecorder.isTypeSupported(wanted));
      const made = new MediaRecorder(stream, type ? { mimeType: type } : {});
      const parts: Blob[] = [];
      made.ondataavailable = (e) => parts.push(e.data);
      made.onstop = () => {
        release(made);
        setSeconds(null);
        void deliver(new File(parts, named(made.mimeType), { type: made.mimeType }));
      };
      recorder.current = made;
      made.start();
      setSeconds(0);
    } catch {
      setFault(
        t("No microphone can be used here. Allow it in the browser, or put a recording in as a file."),
      );
    }
  };
  if (!("mediaDevices" in navigator) || !("MediaRecorder" in window)) {
    return null;
  }
  return (
    <span className="flex flex-wrap items-center gap-2 px-2">
      {seconds === null ? (
        <TextButton onClick={() => void begin()}>{t("record sound")}</TextButton>
      ) : (
        <>
          <span role="timer" aria-label={t("recording since")} className="font-semibold text-waiting">
            ● {stretch(seconds)}
          </span>
          <TextButton onClick={stop}>{t("stop and put in")}</TextButton>
        </>
      )}
      {kept && <TextButton onClick={() => void deliver(kept)}>{t("put the recording in again")}</TextButton>}
      {fault && <FaultLine>{fault}</FaultLine>}
    </span>
  );
}

function release(recorder: MediaRecorder) {
  for (const track of recorder.stream.getTracks()) {
    track.stop();
  }
}
