import { useEffect, useState } from "react";
import type { Schemas } from "../../../api/client";
import { isTyping, type KeyAct } from "../../../parts/Keys";
import type { Span } from "../../../parts/remarks/pieces";
import { useTypedStore } from "../../../parts/typed";
import { t } from "../../../text";
import { useComments } from "../comments/useComments";
import { type Change, withoutRemark, withRemark } from "../reading";
import { moved } from "./words";

type Remark = Schemas["Remark"];
const FIELD = "remark";

/** What is typed of words and not put there yet. */
type Begun = { chosen: Span; old: Remark | null; text: string };

/** Words of the answer that are chosen to say something of them, and what is said. */
export function useRemarks(answer: Schemas["ReadAnswer"], change: Change, onChange: (c: Change) => void) {
  const { comments } = useComments();
  const marks = comments.filter((c) => c.letter !== null);
  const [chosen, choose] = useState<Span | null>(null);
  const [text, setText] = useState("");
  /** What was said of these words already and is changed. */
  const [old, setOld] = useState<Remark | null>(null);
  const store = useTypedStore<Begun>(`remark:${answer.item}:${answer.answer}`);
  // Another answer has other words; what was begun there is there again.
  useEffect(() => {
    const begun = store.read();
    choose(begun?.chosen ?? null);
    setOld(begun?.old ?? null);
    setText(begun?.text ?? "");
  }, [store]);
  const leave = () => {
    store.keep(null);
    choose(null);
    setOld(null);
    setText("");
  };
  const type = (next: string) => {
    store.keep(chosen && next.trim() !== "" ? { chosen, old, text: next } : null);
    setText(next);
  };
  const say = (words: string, brief: boolean) => {
    const said = words.trim();
    if (chosen && said) {
      const before = old ? withoutRemark(change, old) : change;
      onChange(withRemark(before, { ...chosen, text: said, brief }));
      leave();
    }
  };
  const remove = () => {
    if (old) {
      onChange(withoutRemark(change, old));
      leave();
    }
  };
  const begin = () => {
    setOld(null);
    setText("");
    choose(moved(answer.text, null, 1, false));
  };
  useEffect(() => {
    if (!chosen) {
      return;
    }
    const onKey = (e: KeyboardEvent) => {
      const by = e.key === "ArrowRight" ? 1 : e.key === "ArrowLeft" ? -1 : null;
      if (by && !isTyping(e.target) && !e.defaultPrevented) {
        e.preventDefault();
        choose(moved(answer.text, chosen, by, e.shiftKey));
      }
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, [chosen, answer.text]);
  const keys: KeyAct[] = chosen
    ? [
        ...marks.map((m): KeyAct => [m.letter ?? "", m.text, () => say(m.text, true)]),
        ["Enter", t("comment on the chosen words"), () => document.getElementById(FIELD)?.focus()],
        ["Escape", t("leave the words"), leave],
      ]
    : [["w", t("choose words of the answer, to say something of them"), begin]];
  return {
    chosen,
    choose: (span: Span) => {
      setOld(null);
      choose(span);
    },
    open: (remark: Remark) => {
      choose({ from: remark.from, to: remark.to });
      setOld(remark);
      setText(remark.text);
      setTimeout(() => document.getElementById(FIELD)?.focus());
    },
    old,
    text,
    type,
    say,
    remove,
    leave,
    begin,
    marks,
    keys,
  };
}
