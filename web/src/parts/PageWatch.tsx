import { useEffect, useState } from "react";
import { Rescue } from "./rescue";

/**
 * What holds for every page: its title is its heading with the place on it, a new one is announced, and the focus is
 * never lost when what had it goes away.
 */
export function PageWatch() {
  const [said, setSaid] = useState("");
  useEffect(() => {
    let frame = 0;
    let last: string | undefined;
    const rescue = new Rescue();
    const look = () => {
      frame = 0;
      rescue.look();
      reachable(document);
      const title = titleOf(document);
      if (title !== last) {
        document.title = title;
        // The first title is read by the browser itself.
        if (last !== undefined) {
          setSaid(title);
        }
        last = title;
      }
    };
    const soon = () => {
      frame ||= requestAnimationFrame(look);
    };
    const observer = new MutationObserver(soon);
    observer.observe(document.body, {
      childList: true,
      subtree: true,
      characterData: true,
      attributes: true,
      attributeFilter: ["data-title", "disabled"],
    });
    // What fitted may scroll once the window is narrower or its text larger.
    window.addEventListener("resize", soon);
    soon();
    return () => {
      window.removeEventListener("resize", soon);
      observer.disconnect();
      rescue.end();
      cancelAnimationFrame(frame);
    };
  }, []);
  return (
    <p className="sr-only" role="status">
      {said}
    </p>
  );
}

/** What scrolls sideways can be reached and scrolled from the keyboard. */
function reachable(page: ParentNode) {
  for (const e of page.querySelectorAll<HTMLElement>('[class~="overflow-x-auto"]')) {
    const scrolls = e.scrollWidth > e.clientWidth;
    if (scrolls !== e.hasAttribute("tabindex")) {
      scrolls ? e.setAttribute("tabindex", "0") : e.removeAttribute("tabindex");
    }
  }
}

/** Parts that name themselves, the heading, and whose application it is. */
export function titleOf(page: ParentNode): string {
  const parts = [...page.querySelectorAll("[data-title]")].map(
    (e) => e.getAttribute("data-title") || e.textContent,
  );
  const all = [...parts, page.querySelector("h1")?.textContent, "Scholion"].map((p) => p?.trim() ?? "");
  return all.filter((p, i) => p !== "" && all.indexOf(p) === i).join(" · ");
}
