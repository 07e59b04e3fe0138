import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type KeyboardEvent, useState } from "react";
import { Problem, type Schemas } from "../../../api/client";
import { useTypedStore } from "../../../parts/typed";
import { t } from "../../../text";
import { points } from "../../../text/figures";
import { unread } from "../afterReading";
import { putReading } from "../putReading";
import { saveReading } from "../saveReading";
import { nextUnread, step } from "./cells";
import { highest, typedOf, typedReading } from "./typedReading";

type ReadAnswer = Schemas["ReadAnswer"];

/** The reading of one answer, typed. */
export function Cell({
  assessment,
  question,
  answer,
  whose,
  names,
  queryKey,
}: {
  assessment: string;
  question: Schemas["OpenQuestion"];
  answer: ReadAnswer;
  whose: string;
  names: boolean;
  queryKey: unknown[];
}) {
  const client = useQueryClient();
  const store = useTypedStore<string>(`quick:${assessment}:${question.item}:${answer.answer}`);
  const saved = typedOf(answer, question);
  const [typed, setTyped] = useState<string | null>(() => {
    const kept = store.read();
    return kept === saved ? null : kept;
  });
  const [fault, setFault] = useState(() =>
    typed === null ? "" : t("Typed before and not saved. Enter saves it."),
  );
  const keep = (next: string | null) => {
    store.keep(next);
    setTyped(next);
  };
  const save = useMutation({
    mutationFn: (body: Schemas["ReadingChange"]) =>
      saveReading({ assessment, item: question.item, answer: answer.answer, names }, body),
    onSuccess: async (after) => {
      await putReading(client, queryKey, after);
      keep(null);
      setFault("");
    },
    onError: (error) => {
      const theirs = error instanceof Problem ? (error.theirs as ReadAnswer | undefined) : undefined;
      if (theirs) {
        void putReading(client, queryKey, theirs);
        setFault(
          t("Read meanwhile as {{theirs}}. Enter saves yours in its place, Esc keeps theirs.", {
            theirs: typedOf(theirs, question) || t("held back"),
          }),
        );
      } else {
        setFault(error instanceof Problem ? error.message : t("Not saved yet. It stays on this device."));
      }
    },
  });
  const send = (): boolean => {
    if (typed === null || typed === saved || save.isPending) {
      return true;
    }
    const change = typedReading(typed, answer, question);
    if (change === null) {
      setFault(
        typed.trim() === ""
          ? t("Nothing is typed. What was read before stays.")
          : question.criteria.length === 0
            ? t("points from 0 to {{max}}", { max: points(question.points) })
            : t("{{count}} digits, up to {{highest}}", {
                count: question.criteria.length,
                highest: highest(question),
              }),
      );
      return false;
    }
    save.mutate(change);
    return true;
  };
  const onKey = (e: KeyboardEvent<HTMLInputElement>) => {
    const arrows: Record<string, [number, number]> = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
    };
    const move = arrows[e.key];
    if (e.key === "Enter") {
      e.preventDefault();
      if (send()) {
        nextUnread(e.currentTarget);
      }
    } else if (move) {
      e.preventDefault();
      step(e.currentTarget, ...move);
    } else if (e.key === "Escape") {
      keep(null);
      setFault("");
    }
  };
  const waits = unread(answer);
  return (
    <>
      <input
        data-cell={waits ? "unread" : "read"}
        className={`w-20 rounded-corner border px-2 py-1 tabular-nums ${waits ? "border-waiting bg-waiting-wash" : "border-rule bg-sheet"}`}
        value={typed ?? saved}
        inputMode="decimal"
        aria-label={t("{{name}}, question {{n}}, {{state}}", {
          name: whose,
          n: question.number,
          state: waits ? t("unread") : t("read"),
        })}
        aria-invalid={fault ? true : undefined}
        onFocus={(e) => e.currentTarget.select()}
        onKeyDown={onKey}
        onBlur={send}
        onChange={(e) => {
          setFault("");
          keep(e.target.value);
        }}
      />
      {(fault || save.isPaused) && (
        <span role="alert" className="block max-w-40 text-small text-waiting">
          {fault || t("Not saved yet. It stays on this device.")}
        </span>
      )}
    </>
  );
}
