import { useQuery } from "@tanstack/react-query";
import { useRef } from "react";
import { api, ok } from "../../api/client";
import { Note } from "../../parts/Sheet";
import { Bar } from "../../parts/Work";
import { t } from "../../text";

/** How far a large file is that comes in just now. */
export function ComingIn({ assessment }: { assessment: string }) {
  const began = useRef({ at: Date.now(), done: 0 });
  const query = useQuery({
    queryKey: ["coming-in", assessment],
    queryFn: () =>
      ok(api.GET("/api/assessments/{assessment}/coming-in", { params: { path: { assessment } } })),
    refetchInterval: 700,
    gcTime: 0,
  });
  const work = query.data?.work;
  return work ? (
    <div role="status">
      <Note by="rule">
        <Bar job={work} began={began.current}>
          {t("All of it comes in, or nothing. Keep this page open to see what came of it.")}
        </Bar>
      </Note>
    </div>
  ) : null;
}
