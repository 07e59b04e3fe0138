import { useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import type { Schemas } from "../../api/client";
import { type Page, pagesOf } from "./pages";
import { reachedScreen, screenOf, screensOf } from "./screens";

/** What a question's place on the page is called. */
export const placeOf = (id: string): string => `question-${id}`;

/**
 * Where a student is on the paper, screen by screen; behind the last one lies the check before handing in. Where there
 * is no way back, what was left is closed, here and at the server.
 *
 * @param rules how it is taken now, which may change while one works
 * @param onReach where there is no way back: one goes on to this question, and what lies before it closes
 */
export function useWayThrough(
  paper: Schemas["Paper"],
  rules: Schemas["OwnRules"],
  onReach: (item: string) => void,
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
    setParams((before) => {
      const after = new URLSearchParams(before);
      after.set("page", String(next + 1));
      return after;
    });
    window.scrollTo(0, 0);
    if (!rules.goingBack && next > onward.current) {
      onward.current = next;
      setReached(next);
      const page = screens[next]?.[0];
      if (page) {
        onReach((page.stem ?? page.item).id);
      }
    }
  };
  return {
    pages,
    screens,
    at,
    go,
    goTo: (id: string) => {
      const to = screenOf(screens, id);
      if (to !== at) {
        go(to);
      }
      // Among several on one screen, to the question itself.
      requestAnimationFrame(
        () => (screens[to]?.length ?? 0) > 1 && document.getElementById(placeOf(id))?.scrollIntoView(),
      );
    },
    isOpen: (page: Page) => rules.goingBack || screenOf(screens, page.item.id) === at,
    isHere: (page: Page) => screens[at]?.length === 1 && screens[at][0] === page,
    mayGoBack: at > first,
  };
}
