import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { api, ok, Problem, type Schemas } from "../../../api/client";
import { useTypedStore } from "../../../parts/typed";

/** An answer as the list of answers names it. */
export type Which = { assessment: string; item: string; answer: string; names: boolean };

const of = ({ assessment, item, answer, names }: Which) => ({
  params: { path: { assessment, item, answer }, query: { names } },
});
const keyOf = (what: string, w: Which) => [what, w.assessment, w.item, w.answer, w.names];

/** What the student said to the question in earlier attempts. */
export function useEarlier(which: Which, any: boolean) {
  return useQuery({
    queryKey: keyOf("earlier", which),
    enabled: any,
    staleTime: 60_000,
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/readings/{item}/{answer}/earlier", of(which))),
  });
}

const HERE_MS = 15_000;

/** Names of colleagues who have the same answer open; asking tells them that one has it oneself. */
export function useAlsoHere(which: Which): string[] {
  const query = useQuery({
    queryKey: keyOf("also-here", which),
    refetchInterval: HERE_MS,
    retry: false,
    queryFn: () => ok(api.POST("/api/assessments/{assessment}/readings/{item}/{answer}/here", of(which))),
  });
  return query.data ?? [];
}

type Own = Schemas["Own"];

const REST_MS = 800;
const AGAIN_MS = 5_000;

/** The comment on the whole paper: saved when one rests, and kept on this device until it is. */
export function usePaperComment(which: Which) {
  const client = useQueryClient();
  const key = keyOf("paper", which);
  const query = useQuery({
    queryKey: key,
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/readings/{item}/{answer}/paper", of(which))),
  });
  const store = useTypedStore<Own>(`paper:${which.assessment}:${which.answer}`);
  const [typed, setTyped] = useState<Own | null>(() => store.read());
  const typedNow = useRef(typed);
  const keep = (next: Own | null) => {
    store.keep(next);
    typedNow.current = next;
    setTyped(next);
  };
  const save = useMutation({
    mutationFn: (own: Own) =>
      ok(
        api.PUT("/api/assessments/{assessment}/readings/{item}/{answer}/paper", { ...of(which), body: own }),
      ),
    onSuccess: (saved, sent) => {
      client.setQueryData<Schemas["OfPaper"]>(key, (before) => before && { ...before, own: saved });
      // The same paper stands beside the student's other answers.
      void client.invalidateQueries({
        queryKey: ["paper", which.assessment],
        predicate: (q) => q.queryKey.join() !== key.join(),
      });
      const more = typedNow.current;
      keep(more === null || more.text === sent.text ? null : { text: more.text, saw: saved.saw });
    },
  });
  const { mutate, isPending, error, isError } = save;
  const refused = error instanceof Problem && error.status < 500 && error.status !== 401;
  useEffect(() => {
    if (typed === null || isPending || refused) {
      return;
    }
    const timer = setTimeout(() => mutate(typed), isError ? AGAIN_MS : REST_MS);
    return () => clearTimeout(timer);
  }, [typed, isPending, refused, isError, mutate]);
  const theirs = error instanceof Problem ? (error.theirs as Own | undefined) : undefined;
  return {
    text: typed?.text ?? query.data?.own.text ?? "",
    others: query.data?.others ?? [],
    isThere: query.data !== undefined,
    isSaved: typed === null,
    error: query.error ?? error,
    theirs,
    type: (text: string) => {
      save.reset();
      keep({ text, saw: typed?.saw ?? query.data?.own.saw ?? "" });
    },
    saveNow: () => typed && !isPending && mutate(typed),
    keepTheirs: () => {
      save.reset();
      keep(null);
      void client.invalidateQueries({ queryKey: key });
    },
    saveMine: () => {
      if (theirs && typed) {
        save.reset();
        keep({ text: typed.text, saw: theirs.saw });
      }
    },
  };
}
