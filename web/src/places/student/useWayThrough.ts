import { useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { type Page, pagesOf } from "./pages";
import { reachedScreen, screenOf, screensOf } from "./screens";

/**
 * Where a student is on the paper, screen by screen; behind the last one lies the check before handing in. Where there
 * is no way back, what was left is closed, here and at the server.
 *
 * @param rules how it is taken now, which may change while one works
 * @param flush sends what is written, before the way to it closes
 */
export function useWayThrough(
  paper: Schemas["Paper"],
  rules: Schemas["OwnRules"],
  flush: () => Promise<boolean>,
) {
  const [params, setParams] = useSearchParams();
  const pages = useMemo(() => pagesOf(paper.items), [paper.items]);
  const screens = useMemo(() => screensOf(pages, rules.asking), [pages, rules.asking]);
  const [reached, setReached] = useState(() => reachedScreen(screens, paper.items, paper.rules));
  const first = rules.goingBack ? 0 : reached;
  const onward = useRef(first);
  const at = Math.max(first, Math.min(screens.length, Number(params.get("page") ?? 1) - 1));
  const go = (to: number) => {
    const next = Math.max(first, Math.min(screens.length, to));
    setParams({ page: String(next + 1) });
    window.scrollTo(0, 0);
    if (!rules.goingBack && next > onward.current) {
      onward.current = next;
      setReached(next);
      void reach(screens[next]?.[0]);
    }
  };
  const reach = async (page: Page | undefined) => {
    if (page && (await flush())) {
      await ok(
        api.POST("/api/student/attempts/{attempt}/reached", {
          params: { path: { attempt: paper.attempt } },
          body: { item: (page.stem ?? page.item).id },
        }),
      ).catch(() => undefined);
    }
  };
  return {
    pages,
    screens,
    at,
    go,
    goTo: (id: string) => go(screenOf(screens, id)),
    isOpen: (page: Page) => rules.goingBack || screenOf(screens, page.item.id) === at,
    isHere: (page: Page) => screens[at]?.includes(page) ?? false,
    mayGoBack: at > first,
  };
}
