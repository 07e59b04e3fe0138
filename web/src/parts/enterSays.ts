import type { KeyboardEvent } from "react";

/** In a field of several lines: Enter says what is typed, with Shift it begins a line, Escape leaves the field. */
export const enterSays = (say: () => void) => (e: KeyboardEvent) => {
  if (e.key === "Enter" && !e.shiftKey) {
    e.preventDefault();
    say();
  } else if (e.key === "Escape") {
    (e.target as HTMLElement).blur();
  } else {
    return;
  }
  e.stopPropagation();
};
