import { useState } from "react";
import type { Schemas } from "../../api/client";
import type { Said } from "./onDevice";
import { useAutosave } from "./useAutosave";

/** What a student says to each question: what the server has, over it what is still on the device. */
export function useWhatISaid(paper: Schemas["Paper"]) {
  const saver = useAutosave(paper.attempt, paper.places);
  const [said, setSaid] = useState<Record<string, Said>>(() => {
    const all: Record<string, Said> = {};
    for (const item of paper.items) {
      all[item.id] = { answer: paper.answers[item.id] ?? null, flagged: paper.flagged.includes(item.id) };
    }
    return { ...all, ...saver.kept };
  });
  const say = (id: string, next: Said) => {
    setSaid((before) => ({ ...before, [id]: next }));
    saver.say(id, next);
  };
  /** Two windows said different things: this one's stands, or the other's. */
  const choose = (id: string, mine: boolean) => {
    const other = saver.others[id];
    saver.chosen(id);
    if (mine || !other) {
      say(id, { flagged: false, ...said[id], answer: said[id]?.answer ?? null });
    } else {
      say(id, { answer: other.answer, flagged: other.flagged });
    }
  };
  return { saver, said, say, choose };
}
