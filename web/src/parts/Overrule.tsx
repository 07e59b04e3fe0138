import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Dialog } from "radix-ui";
import { type FormEvent, useState } from "react";
import { api, ok, type Schemas } from "../api/client";
import { t } from "../text";
import { points } from "../text/figures";
import { Button, TextButton } from "./Button";
import { Effect } from "./Effect";
import { Area, Field } from "./Field";
import { GivenAnswer } from "./GivenAnswer";
import { MarkWithReason } from "./Mark";
import { Loaded, Trouble } from "./States";
import { useTyped } from "./typed";
import { useSettled } from "./useSettled";

type Mark = Schemas["MarkToOverrule"];

/** Decides one student's mark otherwise, with a reason, wherever it is shown. */
export function Overrule({ attempt, item, number }: { attempt: string; item: string; number: number }) {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <TextButton
          className="min-h-6 text-small"
          aria-label={t("Overrule the mark of question {{n}}", { n: number })}
        >
          {t("Overrule")}
        </TextButton>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-40 max-h-[90vh] w-[min(36rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-corner border border-rule-strong bg-sheet p-6"
        >
          <Dialog.Title className="mb-3 text-title font-semibold">
            {t("Overrule the mark of question {{n}}", { n: number })}
          </Dialog.Title>
          <Overruling attempt={attempt} item={item} onDone={() => setOpen(false)} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Overruling({ attempt, item, onDone }: { attempt: string; item: string; onDone: () => void }) {
  const path = { path: { attempt, item } };
  const query = useQuery({
    queryKey: ["mark", attempt, item],
    queryFn: () => ok(api.GET("/api/attempts/{attempt}/marks/{item}", { params: path })),
    staleTime: 0,
  });
  return <Loaded query={query}>{(mark) => <Form mark={mark} path={path} onDone={onDone} />}</Loaded>;
}

function Form({
  mark,
  path,
  onDone,
}: {
  mark: Mark;
  path: { path: { attempt: string; item: string } };
  onDone: () => void;
}) {
  const client = useQueryClient();
  const kept = `overrule:${path.path.attempt}:${path.path.item}`;
  const [given, setGiven] = useTyped(`${kept}:points`, "");
  const [why, setWhy] = useTyped(`${kept}:why`, "");
  const body = { points: given, why, saw: mark.saw };
  const asked = useSettled(given.trim());
  const preview = useQuery({
    queryKey: ["mark-preview", path.path, asked, mark.saw],
    queryFn: () =>
      ok(
        api.POST("/api/attempts/{attempt}/marks/{item}/preview", {
          params: path,
          body: { points: asked, why: "", saw: mark.saw },
        }),
      ),
    enabled: asked !== "",
    retry: false,
  });
  const after = {
    onSuccess: () => {
      setGiven("");
      setWhy("");
      return client.invalidateQueries().then(onDone);
    },
    onError: () => void fresh(),
  };
  const fresh = () => client.invalidateQueries({ queryKey: ["mark", path.path.attempt] });
  const overrule = useMutation({
    mutationFn: () => ok(api.POST("/api/attempts/{attempt}/marks/{item}/overrule", { params: path, body })),
    ...after,
  });
  const takeBack = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/attempts/{attempt}/marks/{item}/take-back", {
          params: path,
          body: { saw: mark.saw },
        }),
      ),
    ...after,
  });
  const may = asked !== "" && preview.isSuccess && why.trim() !== "" && !overrule.isPending;
  const send = (e: FormEvent) => {
    e.preventDefault();
    if (may) {
      overrule.mutate();
    }
  };
  return (
    <form onSubmit={send}>
      <p className="text-soft">
        {mark.student} · {mark.prompt}
      </p>
      <p className="my-2 font-script text-words">
        <GivenAnswer given={mark.given}>
          {mark.answer || <span className="text-soft">{t("no answer")}</span>}
        </GivenAnswer>
      </p>
      <MarkWithReason mark={mark.mark} />
      {mark.mayTakeBack && (
        <p className="mt-1">
          <TextButton onClick={() => takeBack.mutate()}>{t("Take your decision back")}</TextButton>
        </p>
      )}
      <div className="mt-4 grid gap-3">
        <Field
          label={t("Points from 0 to {{max}}", { max: points(mark.points) })}
          value={given}
          inputMode="decimal"
          onChange={(e) => setGiven(e.target.value)}
          className="w-40"
        />
        <Area
          label={t("Why, also for the student where comments are seen")}
          value={why}
          maxLength={2000}
          onChange={(e) => setWhy(e.target.value)}
        />
      </div>
      <div className="mt-3">
        {asked !== "" && preview.data && <Effect effect={preview.data} by="person" />}
        <Trouble error={preview.error ?? overrule.error ?? takeBack.error} />
      </div>
      <p className="mt-4 flex gap-3">
        <Button look="strong" type="submit" disabled={!may}>
          {t("Overrule this mark")}
        </Button>
        <Button look="quiet" onClick={onDone}>
          {t("Leave it as it is")}
        </Button>
      </p>
    </form>
  );
}
