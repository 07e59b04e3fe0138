import type { Schemas } from "../../api/client";
import { askedOn, type Page } from "./pages";

type Rules = Schemas["OwnRules"];

/** What is seen at once: one page of questions, those of a part, or all. */
export function screensOf(pages: Page[], asking: Rules["asking"]): Page[][] {
  if (asking === "ALL") {
    return pages.length > 0 ? [pages] : [];
  }
  if (asking === "ONE") {
    return pages.map((page) => [page]);
  }
  const screens: Page[][] = [];
  let part: string | null | undefined;
  for (const page of pages) {
    const last = screens.at(-1);
    if (last && page.item.part === part) {
      last.push(page);
    } else {
      screens.push([page]);
      part = page.item.part;
    }
  }
  return screens;
}

/** Everything that stands on a screen, passages as well. */
const on = (screen: Page[]): string[] =>
  screen.flatMap((page) => [page.item, ...askedOn(page)].map((item) => item.id));

/** The screen on which a question or a passage stands; behind the last one for none. */
export function screenOf(screens: Page[][], id: string | undefined): number {
  const at = screens.findIndex((screen) => id !== undefined && on(screen).includes(id));
  return at < 0 ? screens.length : at;
}

/** Where there is no way back, the screen that was reached: what lies before it is closed. */
export function reachedScreen(screens: Page[][], items: { id: string }[], rules: Rules): number {
  return rules.goingBack || rules.reached === 0 ? 0 : screenOf(screens, items[rules.reached]?.id);
}
