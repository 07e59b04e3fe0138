import { useState } from "react";
import { Button } from "../../../parts/Button";
import { enterSays } from "../../../parts/enterSays";
import { Area } from "../../../parts/Field";
import { type KeyAct, useKeys } from "../../../parts/Keys";
import { Attachment } from "../../../parts/pages/Attachment";
import type { Point, Tool } from "../../../parts/pages/marks";
import { Trouble } from "../../../parts/States";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import type { useDrawn } from "./useDrawn";

const STEP = 0.25;
const SMALLEST = 0.5;
const LARGEST = 4;
/** At first a page held upright fits into a window. */
const FIRST = 0.75;

/** A note that is being typed, and where it will stand. */
type Begun = { file: string; page: number; at: Point; words: string };

/** The attachments of an answer, looked at and drawn on. */
export function Drawing({
  name,
  files,
  drawn,
  onDrawn,
}: {
  /** By which what is typed is kept on this device. */
  name: string;
  files: string[];
  drawn: ReturnType<typeof useDrawn>;
  /** Something was drawn, which can be taken back by this. */
  onDrawn: (mark: string) => void;
}) {
  const [tool, setTool] = useState<Tool | null>(null);
  const [zoom, setZoom] = useState(FIRST);
  const [turn, setTurn] = useState(0);
  const [note, setNote] = useTyped<Begun | null>(`note:${name}`, null);
  const choose = (next: Tool) => setTool(tool === next ? null : next);
  const tools: [Tool, string, string][] = [
    ["PEN", "P", t("Pen")],
    ["HIGHLIGHTER", "M", t("Highlighter")],
    ["NOTE", "T", t("Note at a place")],
  ];
  useKeys([
    ...tools.map(([kind, key, label]): KeyAct => [key.toLowerCase(), label, () => choose(kind)]),
    ["r", t("turn the attachments"), () => setTurn((turn + 1) % 4)],
    ["+", t("larger"), () => setZoom(Math.min(LARGEST, zoom + STEP))],
    ["-", t("smaller"), () => setZoom(Math.max(SMALLEST, zoom - STEP))],
  ]);
  const put = (file: string, page: number, points: Point[]) => {
    if (tool === "NOTE") {
      setNote({ file, page, at: points[0] ?? [0.5, 0.5], words: "" });
      setTimeout(() => document.getElementById("note-at-a-place")?.focus());
    } else if (tool) {
      onDrawn(drawn.draw({ file, page, kind: tool, points, words: "" }));
    }
  };
  const say = () => {
    if (note && note.words.trim() !== "") {
      const { file, page, at, words } = note;
      onDrawn(drawn.draw({ file, page, kind: "NOTE", points: [at], words: words.trim() }));
      setNote(null);
    }
  };
  return (
    <section aria-label={t("Attachments")} className="mt-4">
      <div className="sticky top-0 z-10 mb-2 flex flex-wrap items-center gap-2 bg-sheet py-1">
        {tools.map(([kind, key, label]) => (
          <Button
            key={kind}
            look={tool === kind ? "strong" : "quiet"}
            aria-pressed={tool === kind}
            hotkey={key}
            onClick={() => choose(kind)}
          >
            {label}
          </Button>
        ))}
        <Button look="quiet" hotkey="R" onClick={() => setTurn((turn + 1) % 4)}>
          {t("Turn")}
        </Button>
        <Button look="quiet" hotkey="-" disabled={zoom <= SMALLEST} onClick={() => setZoom(zoom - STEP)}>
          {t("Smaller")}
        </Button>
        <Button look="quiet" hotkey="+" disabled={zoom >= LARGEST} onClick={() => setZoom(zoom + STEP)}>
          {t("Larger")}
        </Button>
        <span role="status" className="text-small text-soft">
          {drawn.isSaved ? "" : t("Kept on this device until it is saved.")}
        </span>
      </div>
      <Trouble error={drawn.error} />
      {files.map((file, i) => (
        <Attachment
          key={file}
          file={file}
          number={i + 1}
          marks={drawn.marks}
          turn={turn}
          zoom={zoom}
          tool={tool}
          onDrawn={(page, points) => put(file, page, points)}
          onRemove={(m) => void drawn.remove(m.id)}
        >
          {note?.file === file && (
            <div className="mt-2 max-w-[44rem]">
              <Area
                id="note-at-a-place"
                label={t("Note at this place, for the student")}
                value={note.words}
                rows={2}
                maxLength={500}
                onKeyDown={enterSays(say)}
                onChange={(e) => setNote({ ...note, words: e.target.value })}
              />
              <p className="mt-1 flex gap-2">
                <Button hotkey="Enter" disabled={note.words.trim() === ""} onClick={say}>
                  {t("Put it there")}
                </Button>
                <Button look="quiet" onClick={() => setNote(null)}>
                  {t("Leave it")}
                </Button>
              </p>
            </div>
          )}
        </Attachment>
      ))}
    </section>
  );
}
