import { type KeyboardEvent, useRef, useState } from "react";
import { TextButton } from "../../../parts/Button";
import { Area } from "../../../parts/Field";
import { Kbd } from "../../../parts/Keys";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { KeptComments } from "./KeptComments";
import { fitting, type Slash, slashAt, withComment } from "./slash";
import { type Comment, useComments } from "./useComments";

const MOST = 6;

/** What the student reads: typed, or taken from the comments that are kept, which a slash searches. */
export function CommentField({
  value,
  onChange,
  onKeyDown,
}: {
  value: string;
  onChange: (value: string) => void;
  onKeyDown: (e: KeyboardEvent) => void;
}) {
  const all = useComments();
  const kept = { ...all, comments: all.comments.filter((c) => c.letter === null) };
  const [slash, setSlash] = useState<Slash | null>(null);
  const [at, setAt] = useState(0);
  const field = useRef<HTMLTextAreaElement | null>(null);
  const found = slash ? fitting(kept.comments, slash.words).slice(0, MOST) : [];
  const open = found.length > 0;
  const look = (e: { currentTarget: HTMLTextAreaElement }) => {
    field.current = e.currentTarget;
    setSlash(slashAt(e.currentTarget.value, e.currentTarget.selectionStart));
    setAt(0);
  };
  const take = (comment: Comment) => {
    if (slash) {
      onChange(withComment(value, slash, comment.text));
      kept.used.mutate(comment);
      setSlash(null);
      field.current?.focus();
    }
  };
  const onKey = (e: KeyboardEvent) => {
    const chosen = found[at];
    if (open && (e.key === "ArrowDown" || e.key === "ArrowUp")) {
      setAt((at + (e.key === "ArrowDown" ? 1 : found.length - 1)) % found.length);
    } else if (open && e.key === "Enter" && !e.ctrlKey && !e.metaKey && chosen) {
      take(chosen);
    } else if (open && e.key === "Escape") {
      setSlash(null);
    } else {
      onKeyDown(e);
      return;
    }
    e.preventDefault();
    e.stopPropagation();
  };
  const words = value.trim();
  const isKept = kept.comments.some((c) => c.text === words);
  return (
    <div className="mb-3">
      <Area
        id="comment"
        label={
          <>
            {t("Comment for the student")} <Kbd>/</Kbd>
          </>
        }
        value={value}
        rows={3}
        maxLength={10_000}
        aria-haspopup="listbox"
        aria-controls="comments-found"
        aria-autocomplete="list"
        aria-activedescendant={open ? `comment-${at}` : undefined}
        onKeyDown={onKey}
        onChange={(e) => {
          onChange(e.target.value);
          look(e);
        }}
        onBlur={() => setSlash(null)}
      />
      <ul
        id="comments-found"
        // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: the list of a combobox
        role="listbox"
        aria-label={t("Kept comments")}
        className={open ? "border border-t-0 border-rule-strong bg-sheet" : "hidden"}
      >
        {found.map((c, i) => (
          <li
            key={c.id}
            id={`comment-${i}`}
            // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: an option of a combobox
            role="option"
            tabIndex={-1}
            aria-selected={i === at}
            className={`flex cursor-pointer items-baseline justify-between gap-2 px-2 py-1 ${i === at ? "bg-by-person-wash" : ""}`}
            onPointerDown={(e) => {
              e.preventDefault();
              take(c);
            }}
          >
            <span className="font-script">{c.text}</span>
            {c.uses > 0 && (
              <span className="text-small whitespace-nowrap text-soft">
                {t("used {{count}} times", { count: c.uses })}
              </span>
            )}
          </li>
        ))}
      </ul>
      <p className="mt-1 flex flex-wrap gap-x-4 text-small text-soft">
        {words !== "" && !isKept && (
          <TextButton
            className="min-h-6"
            disabled={kept.keep.isPending}
            onClick={() => kept.keep.mutate({ text: words })}
          >
            {t("Keep this comment")}
          </TextButton>
        )}
        {isKept && <span>{t("This comment is kept.")}</span>}
        {kept.comments.length === 0 && (
          <span>
            {t("Keep what you say often; a slash finds it again. {{name}} stands for the student’s name.", {
              name: "{given name}",
            })}
          </span>
        )}
      </p>
      <Trouble error={kept.error} />
      {kept.comments.length > 0 && <KeptComments kept={kept} />}
    </div>
  );
}
