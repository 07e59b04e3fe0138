import type { QueryClient } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { afterReading } from "./afterReading";

type View = Schemas["ReadView"];

/**
 * Puts what was saved into the page. A page that is being fetched meanwhile, because a student handed in, may have been
 * read before it was saved: it is let go, and fetched anew.
 */
export async function putReading(
  client: QueryClient,
  queryKey: unknown[],
  saved: Schemas["ReadAnswer"],
): Promise<void> {
  const one = { queryKey, exact: true };
  const isFetched = client.isFetching(one) > 0;
  if (isFetched) {
    await client.cancelQueries(one);
  }
  client.setQueryData<View>(queryKey, (view) => view && afterReading(view, saved));
  if (isFetched) {
    void client.invalidateQueries(one);
  }
}
