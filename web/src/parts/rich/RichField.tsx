import { lazy, Suspense, useRef, useState } from "react";
import { t } from "../../text";
import { TextButton } from "../Button";
import { Area } from "../Field";
import { media, paragraphs } from "./plain";

const RichEditor = lazy(() => import("./RichEditor"));

export type RichValue = { text: string; html: string | undefined };

/**
 * A text that begins plain and becomes formatted when formatting is asked for, or when a picture or formatted text is
 * pasted or dropped in.
 */
export function RichField({
  label,
  value,
  rows = 3,
  autoFocus = false,
  onChange,
}: {
  label: string;
  value: RichValue;
  rows?: number;
  autoFocus?: boolean;
  onChange: (value: RichValue) => void;
}) {
  const [opened, setOpened] = useState(false);
  const pasted = useRef<File[]>([]);
  const format = (html: string, files: File[] = []) => {
    pasted.current = files;
    setOpened(true);
    onChange({ text: value.text, html });
  };
  const take = (data: DataTransfer | null, event: { preventDefault: () => void }) => {
    const files = media(data);
    if (files.length > 0) {
      event.preventDefault();
      format(paragraphs(value.text), files);
    }
  };
  if (value.html === undefined) {
    return (
      <fieldset onDrop={(e) => take(e.dataTransfer, e)} onDragOver={(e) => e.preventDefault()}>
        <Area
          label={label}
          value={value.text}
          rows={rows}
          autoFocus={autoFocus}
          onChange={(e) => onChange({ text: e.target.value, html: undefined })}
          onPaste={(e) => take(e.clipboardData, e)}
        />
        <TextButton
          className="mt-1 min-h-6 text-small text-soft underline"
          onClick={() => format(paragraphs(value.text))}
        >
          {t("Add formatting, a picture, sound or a formula")}
        </TextButton>
      </fieldset>
    );
  }
  return (
    <div>
      <p className="mb-1 text-small font-semibold text-soft">{label}</p>
      <Suspense fallback={<p className="p-3 font-script text-words">{value.text}</p>}>
        <RichEditor
          label={label}
          html={value.html}
          autoFocus={opened}
          files={pasted.current}
          onChange={({ html, text }) => onChange({ text, html })}
        />
      </Suspense>
      <TextButton
        className="mt-1 min-h-6 text-small text-soft underline"
        onClick={() => onChange({ text: value.text, html: undefined })}
      >
        {t("Change to plain text (removes formatting)")}
      </TextButton>
    </div>
  );
}
