import { EditorContent, useEditor, useEditorState } from "@tiptap/react";
import { useEffect, useRef, useState } from "react";
import { t } from "../../text";
import { Field } from "../Field";
import { Maths } from "../Maths";
import { Trouble } from "../States";
import { fileUrl, upload } from "../upload";
import { clean } from "./clean";
import { extensions } from "./extensions";
import { media } from "./plain";
import { Recorder } from "./Recorder";

export type Written = { html: string; text: string };

/** Formatted text with pictures, sound and formulas, typed, pasted or dropped in. */
export default function RichEditor({
  label,
  html,
  autoFocus = false,
  files = [],
  onChange,
}: {
  label: string;
  html: string;
  autoFocus?: boolean;
  /** Files that were pasted before the editor was there. */
  files?: File[];
  onChange: (written: Written) => void;
}) {
  const [fault, setFault] = useState<unknown>(null);
  const put = useRef<(files: File[]) => void>(() => {});
  const latest = useRef(onChange);
  latest.current = onChange;
  const editor = useEditor({
    extensions,
    content: html,
    autofocus: autoFocus ? "end" : false,
    editorProps: {
      attributes: {
        role: "textbox",
        "aria-label": label,
        "aria-multiline": "true",
        class: "rich min-h-20 px-3 py-2 font-script text-words outline-offset-0",
      },
      transformPastedHTML: clean,
      handlePaste: (_, event) => taken(event.clipboardData, put.current),
      handleDrop: (_, event) => taken(event.dataTransfer, put.current),
    },
    onUpdate: ({ editor: e }) =>
      latest.current({ html: e.getHTML(), text: e.getText({ blockSeparator: "\n" }) }),
  });
  /** Puts a file where the cursor is; what is wrong with it is told here, and thrown to whoever still has it. */
  const putOne = async (file: File) => {
    try {
      const kept = await upload(file);
      const node = kept.type.startsWith("audio/") ? "sound" : "image";
      editor
        ?.chain()
        .focus()
        .insertContent({ type: node, attrs: { src: fileUrl(kept.id), alt: "" } })
        .run();
    } catch (wrong) {
      setFault(wrong);
      throw wrong;
    }
  };
  put.current = (dropped) => {
    setFault(null);
    for (const file of dropped) {
      putOne(file).catch(() => undefined);
    }
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the editor is there
  useEffect(() => {
    editor && files.length > 0 && put.current(files);
  }, [editor]);
  if (!editor) {
    return null;
  }
  return (
    <div className="rounded-corner border border-rule-strong bg-sheet">
      <Tools
        editor={editor}
        onFiles={(chosen) => put.current(chosen)}
        onSound={(recorded) => {
          setFault(null);
          return putOne(recorded);
        }}
      />
      <EditorContent editor={editor} />
      <Chosen editor={editor} />
      {fault !== null && (
        <div className="px-3 pt-2">
          <Trouble error={fault} />
        </div>
      )}
    </div>
  );
}

/** Pictures and recordings are taken; anything else is the editor's own. */
function taken(data: DataTransfer | null, put: (files: File[]) => void): boolean {
  const files = media(data);
  files.length > 0 && put(files);
  return files.length > 0;
}

type Editor = NonNullable<ReturnType<typeof useEditor>>;

function Tools({
  editor,
  onFiles,
  onSound,
}: {
  editor: Editor;
  onFiles: (files: File[]) => void;
  onSound: (recorded: File) => Promise<void>;
}) {
  const file = useRef<HTMLInputElement>(null);
  const on = useEditorState({
    editor,
    selector: ({ editor: e }) => ({
      bold: e.isActive("bold"),
      italic: e.isActive("italic"),
      list: e.isActive("bulletList"),
      numbers: e.isActive("orderedList"),
    }),
  });
  const tool = (name: string, sign: string, pressed: boolean | undefined, act: () => void) => (
    <button
      type="button"
      aria-label={name}
      aria-pressed={pressed}
      title={name}
      className={`min-h-8 min-w-8 rounded-corner border px-2 ${pressed ? "border-ink bg-by-rule-wash" : "border-transparent"}`}
      onMouseDown={(e) => e.preventDefault()}
      onClick={act}
    >
      <span aria-hidden="true">{sign}</span>
    </button>
  );
  return (
    <div
      role="toolbar"
      aria-label={t("formatting")}
      className="flex flex-wrap gap-1 border-b border-rule px-2 py-1"
    >
      {tool(t("bold, Ctrl B"), "B", on.bold, () => editor.chain().focus().toggleBold().run())}
      {tool(t("italic, Ctrl I"), "I", on.italic, () => editor.chain().focus().toggleItalic().run())}
      {tool(t("list"), "•", on.list, () => editor.chain().focus().toggleBulletList().run())}
      {tool(t("numbered list, 1."), "1.", on.numbers, () => editor.chain().focus().toggleOrderedList().run())}
      {tool(t("formula"), "∑", undefined, () =>
        editor
          .chain()
          .focus()
          .insertContent({ type: "formula", attrs: { latex: "x^2" } })
          .run(),
      )}
      {tool(t("picture or sound"), t("picture or sound"), undefined, () => file.current?.click())}
      <Recorder onFile={onSound} />
      <input
        ref={file}
        type="file"
        aria-label={t("a picture or sound to put in")}
        accept="image/png,image/jpeg,image/gif,image/webp,audio/*"
        multiple
        className="hidden"
        onChange={(e) => {
          onFiles([...(e.target.files ?? [])]);
          e.target.value = "";
        }}
      />
    </div>
  );
}

/** What can be said of the picture or formula that the cursor is on. */
function Chosen({ editor }: { editor: Editor }) {
  const at = useEditorState({
    editor,
    selector: ({ editor: e }) => ({
      image: e.isActive("image") ? (e.getAttributes("image") as { alt?: string }) : null,
      formula: e.isActive("formula") ? (e.getAttributes("formula") as { latex: string }) : null,
    }),
  });
  const undescribed = useEditorState({ editor, selector: ({ editor: e }) => undescribedPicture(e) });
  if (at.formula) {
    return (
      <div className="flex items-center gap-4 border-t border-rule px-3 py-2">
        <Field
          label={t("Formula, in LaTeX")}
          value={at.formula.latex}
          className="flex-1"
          onChange={(e) => editor.commands.updateAttributes("formula", { latex: e.target.value })}
        />
        <Maths latex={at.formula.latex} />
      </div>
    );
  }
  if (at.image || undescribed !== null) {
    const alt = at.image ? (at.image.alt ?? "") : "";
    return (
      <Field
        label={t("Description of the picture, for people who cannot see it")}
        value={alt}
        className="border-t border-rule px-3 py-2"
        fault={alt.trim() ? undefined : t("This picture has no description yet. Say what it shows.")}
        onFocus={() => undescribed !== null && !at.image && editor.commands.setNodeSelection(undescribed)}
        onChange={(e) => editor.commands.updateAttributes("image", { alt: e.target.value })}
      />
    );
  }
  return null;
}

function undescribedPicture(editor: Editor): number | null {
  let found: number | null = null;
  editor.state.doc.descendants((node, position) => {
    if (found === null && node.type.name === "image" && !String(node.attrs.alt ?? "").trim()) {
      found = position;
    }
  });
  return found;
}
