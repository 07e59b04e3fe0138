import { mergeAttributes, Node } from "@tiptap/core";
import Image from "@tiptap/extension-image";
import StarterKit from "@tiptap/starter-kit";
import { typeset } from "../Maths";

/** A formula inside a line; its LaTeX is all that is kept. */
const Formula = Node.create({
  name: "formula",
  group: "inline",
  inline: true,
  atom: true,
  addAttributes: () => ({
    latex: {
      default: "",
      parseHTML: (element: HTMLElement) => element.dataset.formula ?? "",
      renderHTML: ({ latex }: { latex: string }) => ({ "data-formula": latex }),
    },
  }),
  parseHTML: () => [{ tag: "span[data-formula]" }],
  renderHTML: ({ HTMLAttributes }) => ["span", mergeAttributes(HTMLAttributes)],
  renderText: ({ node }) => String(node.attrs.latex),
  addNodeView: () => {
    return ({ node }) => {
      const dom = document.createElement("span");
      const show = (latex: string) => typeset(dom, latex);
      show(String(node.attrs.latex));
      return {
        dom,
        update: (next) => {
          if (next.type.name !== "formula") {
            return false;
          }
          show(String(next.attrs.latex));
          return true;
        },
      };
    };
  },
});

/** A recording that can be heard. */
const Sound = Node.create({
  name: "sound",
  group: "block",
  atom: true,
  addAttributes: () => ({ src: { default: "" } }),
  parseHTML: () => [{ tag: "audio[src]" }],
  renderHTML: ({ HTMLAttributes }) => ["audio", mergeAttributes(HTMLAttributes, { controls: "controls" })],
});

export const extensions = [
  StarterKit.configure({ heading: { levels: [2, 3] }, link: { openOnClick: false } }),
  Image.configure({ inline: false, allowBase64: false }),
  Formula,
  Sound,
];
