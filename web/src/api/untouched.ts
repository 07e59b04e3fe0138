/** A page that asks again by itself is not somebody who does something: so long after the last touch. */
const AFTER_MS = 60_000;

let last = Date.now();
const touch = () => {
  last = Date.now();
};

if (typeof window !== "undefined") {
  for (const kind of ["pointerdown", "keydown", "wheel", "touchmove"]) {
    window.addEventListener(kind, touch, { capture: true, passive: true });
  }
}

/** Whether nobody has touched the page for a while. Students who think over a question are not told so. */
export const isUntouched = (path: string, now: number = Date.now()): boolean =>
  !path.startsWith("/api/student/") && now - last > AFTER_MS;
