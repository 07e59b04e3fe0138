import { api, ok, type Schemas } from "../../api/client";
import type { Change } from "./reading";

/** Saves what was chosen and said of one answer. */
export const saveReading = (
  { assessment, item, answer, names }: { assessment: string; item: string; answer: string; names: boolean },
  body: Change,
): Promise<Schemas["ReadAnswer"]> =>
  ok(
    api.PUT("/api/assessments/{assessment}/readings/{item}/{answer}", {
      params: { path: { assessment, item, answer }, query: { names } },
      body,
    }),
  );
