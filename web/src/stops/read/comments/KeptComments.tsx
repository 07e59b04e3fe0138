import { useState } from "react";
import { Button, TextButton } from "../../../parts/Button";
import { Area } from "../../../parts/Field";
import { t } from "../../../text";
import type { Comment, useComments } from "./useComments";

/** All comments that are kept, to be changed or removed. */
export function KeptComments({ kept }: { kept: ReturnType<typeof useComments> }) {
  const [removed, setRemoved] = useState<Comment | null>(null);
  return (
    <details className="text-small">
      <summary className="cursor-pointer text-soft">
        {t("{{count}} kept comments", { count: kept.comments.length })}
      </summary>
      {removed && (
        <p className="mt-1">
          {t("Removed.")}{" "}
          <TextButton onClick={() => kept.keep.mutate(removed, { onSuccess: () => setRemoved(null) })}>
            {t("Undo")}
          </TextButton>
        </p>
      )}
      <p className="mt-1 text-soft">
        {t("{{name}} stands for the student’s name. What was said already stays as it was.", {
          name: "{given name}",
        })}
      </p>
      <ul className="mt-1">
        {kept.comments.map((c) => (
          <Line
            key={c.id}
            comment={c}
            onChange={(text) => kept.change.mutate({ id: c.id, text, letter: c.letter })}
            onRemove={() => kept.remove.mutate(c, { onSuccess: () => setRemoved(c) })}
          />
        ))}
      </ul>
    </details>
  );
}

function Line({
  comment,
  onChange,
  onRemove,
}: {
  comment: Comment;
  onChange: (text: string) => void;
  onRemove: () => void;
}) {
  const [text, setText] = useState<string | null>(null);
  return (
    <li className="border-t border-rule py-1">
      {text === null ? (
        <>
          <span className="font-script">{comment.text}</span>{" "}
          <TextButton className="min-h-6" onClick={() => setText(comment.text)}>
            {t("Change")}
          </TextButton>{" "}
          <TextButton
            onClick={onRemove}
            aria-label={t("Remove the comment: {{text}}", { text: comment.text })}
          >
            {t("Remove")}
          </TextButton>
        </>
      ) : (
        <>
          <Area
            label={t("The kept comment")}
            value={text}
            maxLength={2_000}
            onChange={(e) => setText(e.target.value)}
          />
          <p className="mt-1 flex gap-2">
            <Button
              disabled={text.trim() === ""}
              onClick={() => {
                onChange(text);
                setText(null);
              }}
            >
              {t("Save")}
            </Button>
            <Button look="quiet" onClick={() => setText(null)}>
              {t("Leave it as it is")}
            </Button>
          </p>
        </>
      )}
    </li>
  );
}
