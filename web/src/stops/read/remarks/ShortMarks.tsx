import { Button, TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Kbd } from "../../../parts/Keys";
import { Trouble } from "../../../parts/States";
import { useTyped } from "../../../parts/typed";
import { t } from "../../../text";
import { useComments } from "../comments/useComments";

/** One's own short marks, each set by its letter. */
export function ShortMarks() {
  const kept = useComments();
  const marks = kept.comments.filter((c) => c.letter !== null);
  const [text, setText] = useTyped("short-mark", "");
  const [letter, setLetter] = useTyped("short-mark-letter", "");
  const ready = text.trim() !== "" && /^[a-z]$/i.test(letter.trim());
  const add = () => {
    if (ready) {
      kept.keep.mutate(
        { text: text.trim(), letter: letter.trim() },
        {
          onSuccess: () => {
            setText("");
            setLetter("");
          },
        },
      );
    }
  };
  return (
    <details className="mt-2 text-small">
      <summary className="min-h-6 cursor-pointer text-soft">
        {marks.length > 0
          ? t("{{count}} short marks", { count: marks.length })
          : t("Short marks of your own, such as “clear”")}
      </summary>
      <ul>
        {marks.map((m) => (
          <li key={m.id} className="flex items-baseline gap-2 border-t border-rule py-1">
            <Kbd>{m.letter?.toUpperCase()}</Kbd> <span className="font-script">{m.text}</span>
            <TextButton
              className="ml-auto min-h-6"
              aria-label={t("Remove the short mark: {{text}}", { text: m.text })}
              onClick={() => kept.remove.mutate(m)}
            >
              {t("Remove")}
            </TextButton>
          </li>
        ))}
      </ul>
      <form
        className="mt-1 grid grid-cols-[1fr_4rem_auto] items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          add();
        }}
      >
        <Field label={t("Mark")} value={text} maxLength={30} onChange={(e) => setText(e.target.value)} />
        <Field label={t("Letter")} value={letter} maxLength={1} onChange={(e) => setLetter(e.target.value)} />
        <Button type="submit" disabled={!ready || kept.keep.isPending}>
          {t("Add")}
        </Button>
      </form>
      <Trouble error={kept.keep.error ?? kept.remove.error} />
    </details>
  );
}
