import { useQuery } from "@tanstack/react-query";
import { useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { Loaded } from "../../parts/States";
import { t } from "../../text";
import { useWhere } from "../Assessment";
import { Items } from "./Items";
import { Letters } from "./letters/Letters";
import { Paper } from "./paper/Paper";
import { QuestionsIn } from "./questions-in/QuestionsIn";
import { Sets } from "./sets/Sets";
import { useDraft } from "./useDraft";

export type KeyPage = { assessment: string; view: Schemas["KeyView"]; draft: ReturnType<typeof useDraft> };

/** The views of one key: item by item, as a grid of letters, as a paper, and tried with whole sets of answers. */
const VIEWS: [string, string, (page: KeyPage) => React.ReactNode][] = [
  ["items", "Items", Items],
  ["letters", "Letter key", Letters],
  ["paper", "Paper", Paper],
  ["sets", "Answer sets", Sets],
  ["in", "Bring in questions", QuestionsIn],
];

export function Key() {
  const { assessment } = useWhere();
  const query = useQuery({
    queryKey: ["key", assessment],
    queryFn: () => ok(api.GET("/api/assessments/{assessment}/key", { params: { path: { assessment } } })),
    refetchOnWindowFocus: false,
    // What is being edited is never replaced under the hands.
    staleTime: Number.POSITIVE_INFINITY,
    gcTime: 0,
  });
  return (
    <Loaded query={query}>
      {(view) => <KeyEditor key={`${assessment}:${view.edition}`} assessment={assessment} view={view} />}
    </Loaded>
  );
}

function KeyEditor({ assessment, view }: { assessment: string; view: Schemas["KeyView"] }) {
  const draft = useDraft(assessment, view);
  const [params, setParams] = useSearchParams();
  const chosen = params.get("view") ?? "items";
  const Shown = VIEWS.find(([id]) => id === chosen)?.[2] ?? Items;
  return (
    <div className="flex flex-1 flex-col">
      <nav
        aria-label={t("Views of the key")}
        className="flex gap-6 border-b border-rule px-6 py-1.5 lg:pl-10"
      >
        {VIEWS.map(([id, name]) => (
          <button
            key={id}
            type="button"
            aria-current={id === chosen ? "page" : undefined}
            data-title={id === chosen ? t(name) : undefined}
            className={id === chosen ? "border-b-2 border-ink font-semibold" : "text-soft"}
            onClick={() => {
              const next = new URLSearchParams(params);
              next.set("view", id);
              setParams(next);
            }}
          >
            {t(name)}
          </button>
        ))}
      </nav>
      <Shown assessment={assessment} view={view} draft={draft} />
    </div>
  );
}
