import { useState } from "react";
import { Button, TextButton } from "../../../parts/Button";
import { Area, Check } from "../../../parts/Field";
import { t } from "../../../text";
import { type Comment, type useComments, useSaidIn } from "./useComments";

/** All comments that are kept, to be changed or removed. */
export function KeptComments({ kept }: { kept: ReturnType<typeof useComments> }) {
  /** Where a comment was changed in answers as well, and what it said before. */
  const [changed, setChanged] = useState<{ answers: number; left: number; before: Comment } | null>(null);
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
        {t("{{name}} stands for the student’s name.", {
          name: "{given name}",
        })}
      </p>
      <p role="status">
        {changed && (
          <>
            {t("Changed in {{count}} answers.", { count: changed.answers })}{" "}
            {changed.left > 0 &&
              t("{{count}} others have been read again meanwhile and stay as they are.", {
                count: changed.left,
              })}{" "}
            <TextButton
              className="min-h-6"
              aria-label={t("Undo the change everywhere")}
              onClick={() => kept.everywhere.mutate(changed.before, { onSuccess: () => setChanged(null) })}
            >
              {t("Undo")}
            </TextButton>
          </>
        )}
      </p>
      <ul className="mt-1">
        {kept.comments.map((c) => (
          <Line
            key={c.id}
            comment={c}
            onChange={(text, everywhere) => {
              const next = { id: c.id, text, letter: c.letter };
              setChanged(null);
              everywhere
                ? kept.everywhere.mutate(next, {
                    onSuccess: ({ answers, left }) => setChanged({ answers, left, before: c }),
                  })
                : kept.change.mutate(next);
            }}
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
  onChange: (text: string, everywhere: boolean) => void;
  onRemove: () => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const [everywhere, setEverywhere] = useState(false);
  const said = useSaidIn(comment.id, text !== null).data?.answers ?? 0;
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
          {said > 0 && (
            <div className="flex min-h-8 items-center">
              <Check checked={everywhere} onChange={setEverywhere}>
                {t("Also in the {{count}} answers in which you have said it", { count: said })}
              </Check>
            </div>
          )}
          {said > 0 && everywhere && (
            <p className="text-soft">{t("What was handed back stays until you hand it back again.")}</p>
          )}
          <p className="mt-1 flex gap-2">
            <Button
              disabled={text.trim() === ""}
              onClick={() => {
                onChange(text.trim(), said > 0 && everywhere);
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
