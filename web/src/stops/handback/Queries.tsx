import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Effect } from "../../parts/Effect";
import { Area, Field } from "../../parts/Field";
import { useKeys } from "../../parts/Keys";
import { MarkWithReason } from "../../parts/Mark";
import { MarginPart, Note, Sheet } from "../../parts/Sheet";
import { Empty, Loaded, Trouble } from "../../parts/States";
import { useTyped } from "../../parts/typed";
import { t } from "../../text";
import { ago, points } from "../../text/figures";

type Query = Schemas["QueryView"];

/** What students ask about their marks; an answer may change the mark, with its effect shown first. */
export function Queries() {
  const query = useQuery({ queryKey: ["queries"], queryFn: () => ok(api.GET("/api/queries")) });
  const [chosen, setChosen] = useState<string>();
  return (
    <Loaded query={query}>
      {(all) => {
        const one = all.find((q) => q.id === chosen) ?? all[0];
        return (
          <Sheet margin={one && <Reply key={one.id} query={one} />}>
            <h1 className="px-6 pt-5 pb-4 font-script text-title font-semibold">
              {t("Queries from students")}
            </h1>
            {all.length === 0 && (
              <Empty title={t("No queries.")}>
                {t("When a student asks about a mark on the result page, it comes here.")}
              </Empty>
            )}
            <List all={all} chosen={one?.id} onChoose={setChosen} />
          </Sheet>
        );
      }}
    </Loaded>
  );
}

function List({
  all,
  chosen,
  onChoose,
}: {
  all: Query[];
  chosen: string | undefined;
  onChoose: (id: string) => void;
}) {
  const step = (by: number) => {
    const next = all[all.findIndex((q) => q.id === chosen) + by];
    if (next) {
      onChoose(next.id);
    }
  };
  useKeys([
    ["j", t("next query"), () => step(1)],
    ["k", t("previous query"), () => step(-1)],
  ]);
  return (
    <ul className="border-t border-rule">
      {all.map((q) => (
        <li
          key={q.id}
          className={`border-b border-rule border-l-4 px-5 py-3 ${q.id === chosen ? "border-l-by-person bg-by-person-wash" : "border-l-transparent"}`}
        >
          <button
            type="button"
            className="block w-full text-left"
            aria-pressed={q.id === chosen}
            onClick={() => onChoose(q.id)}
          >
            <span className="block">
              <strong>{q.student}</strong>{" "}
              <span className="text-soft">
                {t("asks about question {{n}} of {{title}}", { n: q.number, title: q.title })}, {q.section} ·{" "}
                {ago(q.askedAt)}
              </span>
            </span>
            <em className="block font-script text-words">“{q.words}”</em>
          </button>
          {q.id === chosen && (
            <div className="mt-3 grid gap-1 border-t border-rule pt-3">
              <p className="text-soft">{q.prompt}</p>
              <p className="font-script text-words">{q.answer || t("no answer")}</p>
              <MarkWithReason mark={q.mark} />
            </div>
          )}
          {q.reply && (
            <p className="mt-1 text-small">
              <span className="text-by-person">{t("Your reply:")}</span> {q.reply}
            </p>
          )}
        </li>
      ))}
    </ul>
  );
}

function Reply({ query }: { query: Query }) {
  const client = useQueryClient();
  const [words, setWords] = useTyped(`reply:${query.id}`, "");
  const [newPoints, setPoints] = useTyped(`reply-points:${query.id}`, "");
  const path = { params: { path: { query: query.id } } };
  const preview = useQuery({
    queryKey: ["query-preview", query.id, newPoints],
    queryFn: () =>
      ok(
        api.POST("/api/queries/{query}/preview", {
          ...path,
          body: { words: "", points: newPoints, saw: query.saw },
        }),
      ),
    enabled: newPoints.trim() !== "",
    placeholderData: keepPreviousData,
  });
  const reply = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/queries/{query}/reply", {
          ...path,
          body: { words, points: newPoints || null, saw: query.saw },
        }),
      ),
    // A mark that has moved meanwhile is fetched; what was typed stays.
    onError: () => client.invalidateQueries({ queryKey: ["queries"] }),
    onSuccess: () => {
      setWords("");
      setPoints("");
      void client.invalidateQueries({ queryKey: ["queries"] });
      void client.invalidateQueries({ queryKey: ["assessment", query.assessment] });
      void client.invalidateQueries({ queryKey: ["desk"] });
    },
  });
  return (
    <>
      <MarginPart title={t("How question {{n}} is scored", { n: query.number })}>
        <Note by="rule">{query.rule}</Note>
      </MarginPart>
      {query.repliedAt ? (
        <Note by="person">
          {t("Replied. If the mark changed, hand the result back again:")}{" "}
          <Link to={`/a/${query.assessment}/hand-back`} className="underline">
            {t("Hand back")}
          </Link>
        </Note>
      ) : (
        <MarginPart title={t("Your reply")}>
          <Area
            label={t("Reply to {{name}}", { name: query.student })}
            value={words}
            rows={3}
            onChange={(e) => setWords(e.target.value)}
          />
          <Field
            label={t("New points, if the mark should change (now {{now}} of {{of}})", {
              now: points(query.mark.points),
              of: points(query.mark.of),
            })}
            value={newPoints}
            inputMode="decimal"
            className="my-3"
            onChange={(e) => setPoints(e.target.value)}
          />
          {newPoints && preview.data && <Effect effect={preview.data} by="person" />}
          <Trouble error={preview.error ?? reply.error} />
          <Button
            look="strong"
            disabled={!words.trim() || reply.isPending || !!preview.error}
            onClick={() => reply.mutate()}
          >
            {newPoints
              ? t("Reply and give {{n}} points", { n: points(newPoints) })
              : t("Reply and keep the mark")}
          </Button>
          <p className="mt-2 text-small text-soft">
            {t("If others gave the same answer, change the key instead. Then all their marks change.")}{" "}
            <Link to={`/a/${query.assessment}/key?item=${query.item}`} className="underline">
              {t("The key")}
            </Link>
          </p>
        </MarginPart>
      )}
    </>
  );
}
