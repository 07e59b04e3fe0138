import { useMutation } from "@tanstack/react-query";
import { useCallback, useEffect, useRef, useState } from "react";
import { Problem, type Schemas } from "../../api/client";
import { same } from "../../parts/same";
import { type Typed, useTypedStore } from "../../parts/typed";
import { type Change, mayBeSaved, of, sameReading } from "./reading";
import { saveReading } from "./saveReading";

type ReadAnswer = Schemas["ReadAnswer"];

const WORDS_REST_MS = 1_000;
const AGAIN_MS = 5_000;

/** A reading on its way, with the place where it is kept until it is there. */
type Sent = { body: Change; store: Typed<Change>; answer: string; item: string; names: boolean };

/** Whether the line or the session, not the reading, is why it was not saved. */
const isLost = (error: unknown): boolean =>
  error !== null &&
  !(error instanceof Problem && error.status >= 400 && error.status < 500 && error.status !== 401);

/**
 * What is chosen and said of one answer. Each press is saved at once, words when they rest, one save after the other;
 * until then all of it is kept on the device, and sent when the line is there again.
 */
export function useReading({
  assessment,
  question,
  answer,
  names,
  onSaved,
}: {
  assessment: string;
  question: Schemas["OpenQuestion"];
  answer: ReadAnswer;
  names: boolean;
  /** Puts it on the page; until that is done it is on its way. */
  onSaved: (saved: ReadAnswer) => Promise<void>;
}) {
  const { item } = question;
  const store = useTypedStore<Change>(`reading:${assessment}:${item}:${answer.answer}`);
  const [change, show] = useState<Change>(() => store.read() ?? of(answer));
  const [hurry, setHurry] = useState(false);
  const after = useRef<(() => void) | null>(null);
  /** Which mark followed which by one's own saves: what is pressed before the page knows of the newer one is over that. */
  const followed = useRef(new Map<string, string>());
  const newest = (change: Change): Change => ({
    ...change,
    saw: followed.current.get(change.saw) ?? change.saw,
  });
  const onPage = useRef(answer.answer);
  onPage.current = answer.answer;
  // Which answer, as it was saved last, the change is over: until both belong together nothing is sent.
  const [over, setOver] = useState(answer);
  useEffect(() => {
    followed.current.delete(answer.saw);
    show(store.read() ?? of(answer));
    setOver(answer);
  }, [answer, store]);

  const save = useMutation({
    mutationFn: (sent: Sent) =>
      saveReading({ assessment, item: sent.item, answer: sent.answer, names: sent.names }, sent.body),
    onSuccess: async (saved, sent) => {
      for (const [before, after] of [...followed.current, [sent.body.saw, sent.body.saw] as const]) {
        if (after === sent.body.saw) {
          followed.current.set(before, saved.saw);
        }
      }
      followed.current.delete(saved.saw);
      // What was chosen while it was on its way goes after it, also when another answer is on the page by now.
      const kept = sent.store.read();
      const more = kept !== null && !sameReading(kept, sent.body) ? { ...kept, saw: saved.saw } : null;
      sent.store.keep(more);
      await onSaved(saved);
      // On the page it is sent as what stands there.
      if (more && sent.answer !== onPage.current && mayBeSaved(more, question)) {
        save.mutate({ ...sent, body: more });
      }
    },
    onError: () => {
      after.current = null;
      setHurry(false);
    },
  });

  const set = (chosen: Change) => {
    const next = newest(chosen);
    // While another is on its way, what stood before it is a change as well.
    store.keep(sameReading(next, of(answer)) && !save.isPending ? null : next);
    show(next);
  };
  const send = useCallback(
    (body: Change) => save.mutate({ body, store, answer: answer.answer, item, names }),
    [save.mutate, store, answer.answer, item, names],
  );

  const unsaved = !sameReading(change, of(answer));
  const waits = over === answer && unsaved && mayBeSaved(change, question) && !save.isPending;
  const refused = save.isError && !isLost(save.error) && save.variables.answer === answer.answer;
  const isRefused = refused && sameReading(save.variables.body, change);
  const pressed =
    change.hold !== answer.held ||
    !same(change.levels, answer.levels) ||
    !same(change.remarks ?? [], answer.remarks);
  const lost = save.isError && isLost(save.error);
  const rest = lost ? AGAIN_MS : hurry || pressed ? 0 : WORDS_REST_MS;
  useEffect(() => {
    if (!waits || isRefused) {
      return;
    }
    const timer = setTimeout(() => send(change), rest);
    return () => clearTimeout(timer);
  }, [waits, isRefused, rest, change, send]);

  const isSaved = over === answer && !unsaved && !save.isPending;
  useEffect(() => {
    if (hurry && isSaved) {
      const go = after.current;
      after.current = null;
      setHurry(false);
      go?.();
    }
  }, [hurry, isSaved]);

  return {
    change,
    set,
    save,
    isSaved,
    /** Goes on once all of it is saved; nowhere while it cannot be. */
    whenSaved: (go: () => void, next: Change = change) => {
      if (next !== change) {
        set(next);
      }
      if (sameReading(next, of(answer)) && !save.isPending) {
        go();
      } else if (mayBeSaved(next, question)) {
        after.current = go;
        setHurry(true);
      }
    },
    /** Sends what is there before another answer comes on the page. */
    leave: () => {
      if (waits && !isRefused) {
        send(change);
      }
    },
    /** Puts one's own in the place of what a colleague chose meanwhile. */
    sendOver: (theirs: ReadAnswer) => send({ ...change, hold: false, saw: theirs.saw }),
    /** Lets go of one's own. */
    forget: () => {
      save.reset();
      store.keep(null);
    },
  };
}
