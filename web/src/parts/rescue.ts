const FOCUSABLE =
  "a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), summary, [tabindex]:not([tabindex='-1'])";
const NEAR = 6;

/** Where something stood: in each of what held it, how many things that take focus stood before it. */
type Place = { home: Element; before: number };

/**
 * Brings the focus back when what had it goes away or can no longer be used: to what stands there now, or else to the
 * page.
 */
export class Rescue {
  private at: HTMLElement | null = null;
  private places: Place[] = [];

  constructor() {
    document.addEventListener("focusin", this.note);
    document.addEventListener("focusout", this.left);
  }

  end() {
    document.removeEventListener("focusin", this.note);
    document.removeEventListener("focusout", this.left);
  }

  private note = (event: FocusEvent) => {
    const target = event.target;
    if (target instanceof HTMLElement && target !== document.body) {
      this.at = target;
      this.places = placesOf(target);
    }
  };

  /** Who leaves by themselves has lost nothing. */
  private left = (event: FocusEvent) => {
    const from = event.target;
    setTimeout(() => {
      if (from === this.at && from instanceof HTMLElement && from.isConnected && !from.matches(":disabled")) {
        this.at = null;
      }
    });
  };

  /** Looks whether the focus was lost, and by whom. A click beside everything loses nothing. */
  look() {
    const lost = this.at;
    if (!lost || document.activeElement !== document.body) {
      return;
    }
    if (lost.isConnected && !lost.matches(":disabled")) {
      return;
    }
    this.at = null;
    nextTo(this.places)?.focus({ preventScroll: false });
  }
}

function placesOf(target: HTMLElement): Place[] {
  const places: Place[] = [];
  for (
    let home = target.parentElement;
    home && home !== document.body && places.length < NEAR;
    home = home.parentElement
  ) {
    const before = [...home.querySelectorAll(FOCUSABLE)].indexOf(target);
    // The page itself has the focus after a rescue, and nothing stands where it stood but another page.
    if (before >= 0) {
      places.push({ home, before });
    }
  }
  return places;
}

/** What takes focus where the lost thing stood, in the nearest place that is still there. */
export function nextTo(places: Place[]): HTMLElement | null {
  for (const { home, before } of places) {
    if (home.isConnected) {
      const all = [...home.querySelectorAll<HTMLElement>(FOCUSABLE)].filter((e) => e.offsetParent !== null);
      const found = all[Math.min(before, all.length - 1)];
      if (found) {
        return found;
      }
    }
  }
  const page = document.getElementById("page");
  page?.setAttribute("tabindex", "-1");
  return page;
}
