import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Area } from "../../parts/Field";
import { ResultPage } from "../../parts/ResultPage";
import { Note } from "../../parts/Sheet";
import { Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";

/** A student's own result, with questions about marks. */
export function Result() {
  const { result = "" } = useParams();
  const [asking, setAsking] = useState(false);
  const query = useQuery({
    queryKey: ["result", result],
    queryFn: () => ok(api.GET("/api/student/results/{result}", { params: { path: { result } } })),
  });
  return (
    <main
      id="page"
      className="mx-auto w-full max-w-3xl bg-sheet px-4 py-5 sm:my-6 sm:border sm:border-rule sm:px-7"
    >
      <Loaded query={query}>
        {(view) => (
          <>
            <p className="mb-3 text-small text-soft">
              <Link to="/results" className="underline">
                {t("Results")}
              </Link>{" "}
              · {t("Handed back {{when}}", { when: moment(view.handedAt) })}
            </p>
            <ResultPage
              own
              result={view.result}
              drawnOf={{ result }}
              after={(item) => <Asked queries={view.queries} item={item.item} />}
            />
            <div className="mt-5">
              {asking ? (
                <Ask id={result} items={view.result.items} onDone={() => setAsking(false)} />
              ) : (
                <Button className="min-h-11 w-full justify-center sm:w-auto" onClick={() => setAsking(true)}>
                  {t("Ask about a mark")}
                </Button>
              )}
            </div>
          </>
        )}
      </Loaded>
    </main>
  );
}

function Asked({ queries, item }: { queries: Schemas["AskedQuery"][]; item: string }) {
  return queries
    .filter((q) => q.item === item)
    .map((q) => (
      <div key={q.askedAt} className="mt-2 text-small">
        <Note by={q.reply ? "person" : "waiting"}>
          <em className="font-script">“{q.words}”</em>
          <span className="block">
            {q.reply ?? <span className="text-waiting">{t("Waiting for your teacher's reply")}</span>}
          </span>
        </Note>
      </div>
    ));
}

function Ask({ id, items, onDone }: { id: string; items: Schemas["ResultItem"][]; onDone: () => void }) {
  const client = useQueryClient();
  const marked = items.filter((i) => i.mark !== null);
  const [item, setItem] = useState(marked[0]?.item ?? "");
  const [words, setWords] = useState("");
  const ask = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/student/results/{result}/queries", {
          params: { path: { result: id } },
          body: { item, words },
        }),
      ),
    onSuccess: async () => {
      await client.invalidateQueries({ queryKey: ["result", id] });
      onDone();
    },
  });
  return (
    <section aria-label={t("Ask about a mark")} className="border-l-3 border-by-person pl-4">
      <label className="mb-3 block text-small font-semibold text-soft">
        <span className="mb-1 block">{t("Which question is it about?")}</span>
        <select
          value={item}
          onChange={(e) => setItem(e.target.value)}
          className="min-h-11 w-full rounded-corner border border-rule-strong bg-sheet px-2 text-body font-normal text-ink"
        >
          {marked.map((i) => (
            <option key={i.item} value={i.item}>
              {`${i.number} · ${i.prompt.slice(0, 60)}`}
            </option>
          ))}
        </select>
      </label>
      <Area
        label={t("What would you like to ask?")}
        value={words}
        rows={3}
        onChange={(e) => setWords(e.target.value)}
        autoFocus
      />
      <Trouble error={ask.error} />
      <div className="mt-3 flex gap-3">
        <Button
          look="strong"
          className="min-h-11"
          disabled={!words.trim() || ask.isPending}
          onClick={() => ask.mutate()}
        >
          {t("Send to my teacher")}
        </Button>
        <Button look="quiet" className="min-h-11" onClick={onDone}>
          {t("Not now")}
        </Button>
      </div>
    </section>
  );
}
