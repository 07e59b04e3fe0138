import type { ReactNode } from "react";
import { t } from "../../text";
import { Button, TextButton } from "../Button";
import { Trouble } from "../States";
import { type DrawnMark, notesOf, type Point, type Tool } from "./marks";
import { PageSheet } from "./PageSheet";
import { usePages } from "./usePages";

/** A picture or a PDF of an answer, page below page, with what is drawn on it and the notes below. */
export function Attachment({
  file,
  number,
  marks,
  turn = 0,
  zoom = 1,
  tool = null,
  onDrawn,
  onRemove,
  children,
}: {
  file: string;
  /** Which of the answer's attachments it is, from 1. */
  number: number;
  marks: DrawnMark[];
  turn?: number;
  zoom?: number;
  tool?: Tool | null;
  onDrawn?: (page: number, points: Point[]) => void;
  onRemove?: (mark: DrawnMark) => void;
  /** Below the pages. */
  children?: ReactNode;
}) {
  const { pages, all, error, again, more } = usePages(file);
  const notes = notesOf(marks, file);
  const numbers = new Map(notes.map((m, i) => [m.id, i + 1]));
  return (
    <figure className="mb-4" aria-label={t("Attachment {{n}}", { n: number })}>
      <div className="overflow-x-auto">
        <div className="grid gap-2" style={{ width: `${zoom * 100}%` }}>
          {pages.map((page, i) => (
            <PageSheet
              key={page.url}
              page={page}
              label={
                all === 1
                  ? t("Attachment {{n}}", { n: number })
                  : t("Attachment {{n}}, page {{page}} of {{all}}", { n: number, page: i + 1, all })
              }
              marks={marks.filter((m) => m.file === file && m.page === i + 1)}
              numbers={numbers}
              turn={turn}
              tool={tool}
              onDrawn={onDrawn && ((points) => onDrawn(i + 1, points))}
            />
          ))}
        </div>
      </div>
      {all === null && !error && (
        <p className="text-small text-soft" role="status">
          {t("Loading…")}
        </p>
      )}
      {all !== null && pages.length < all && (
        <Button look="quiet" className="mt-2" onClick={more}>
          {t("Show more of {{all}} pages", { all })}
        </Button>
      )}
      <Trouble error={error} />
      {error && <TextButton onClick={again}>{t("Try again")}</TextButton>}
      {notes.length > 0 && (
        <ol className="mt-2 text-small" aria-label={t("Notes on attachment {{n}}", { n: number })}>
          {notes.map((m) => (
            <li key={m.id} className="border-l-2 border-by-person py-0.5 pl-2">
              <strong className="text-by-person">{numbers.get(m.id)}</strong>{" "}
              <span className="font-script whitespace-pre-wrap">{m.words}</span>{" "}
              {onRemove && m.mine && (
                <TextButton
                  className="min-h-6"
                  aria-label={t("Remove this note: {{text}}", { text: m.words })}
                  onClick={() => onRemove(m)}
                >
                  {t("Remove")}
                </TextButton>
              )}
            </li>
          ))}
        </ol>
      )}
      {children}
    </figure>
  );
}
