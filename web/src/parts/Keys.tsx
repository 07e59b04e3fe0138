import { Dialog } from "radix-ui";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { t } from "../text";

/** A key, what it does, and the doing. An empty label keeps it out of the list of keys. */
export type KeyAct = [key: string, label: string, act: () => void];

const active = new Map<symbol, KeyAct[]>();

/** Whether single letters, digits and signs act; who speaks to the device or has a tremor turns them off. */
export const shortcuts = {
  areOn: () => localStorage.getItem("shortcuts") !== "off",
  turn: (on: boolean) =>
    on ? localStorage.removeItem("shortcuts") : localStorage.setItem("shortcuts", "off"),
};

export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ["TEXTAREA", "SELECT"].includes(target.tagName) ||
      (target.tagName === "INPUT" && !["checkbox", "button"].includes((target as HTMLInputElement).type)))
  );
}

/** A row that is taken up to be moved, or a picture that is drawn on, uses the arrows itself. */
function hasKeysOfItsOwn(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest("[aria-roledescription='sortable'], [role='application']") !== null
  );
}

/** A dialog or an open menu lies over the page: its keys are not meant. */
const isCovered = () =>
  document.querySelector(
    '[role="dialog"][data-state="open"], [role="alertdialog"][data-state="open"], [role="menu"][data-state="open"], [role="listbox"][data-state="open"]',
  ) !== null;

/** Lets keys act on this screen; none acts in a text field, on a radio button, or behind a dialog or menu. */
export function useKeys(acts: KeyAct[]) {
  const id = useRef(Symbol("keys"));
  const latest = useRef(acts);
  latest.current = acts;
  useEffect(() => {
    active.set(id.current, acts);
  });
  useEffect(() => {
    const own = id.current;
    const onKey = (event: KeyboardEvent) => {
      if (
        isTyping(event.target) ||
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        event.defaultPrevented ||
        hasKeysOfItsOwn(event.target) ||
        isCovered()
      ) {
        return;
      }
      if (event.key === "Enter" && event.target instanceof HTMLElement && event.target.closest("button, a")) {
        return;
      }
      if (event.key.length === 1 && !shortcuts.areOn()) {
        return;
      }
      const shifted = event.shiftKey && /^[a-z]$/i.test(event.key) ? "shift " : "";
      const pressed = shifted + event.key.toLowerCase();
      const found = latest.current.find(([key]) => key.toLowerCase() === pressed);
      if (found) {
        event.preventDefault();
        found[2]();
      }
    };
    document.addEventListener("keydown", onKey);
    return () => {
      active.delete(own);
      document.removeEventListener("keydown", onKey);
    };
  }, []);
}

export function Kbd({ children, inverse = false }: { children: ReactNode; inverse?: boolean }) {
  return (
    <kbd
      className={`rounded-corner border px-1 font-sans text-small whitespace-nowrap font-normal leading-tight ${inverse ? "border-rule-strong bg-ink text-sheet" : "border-rule bg-sheet text-ink"}`}
    >
      {children}
    </kbd>
  );
}

/** Said where the list of shortcuts is to be shown, by a menu or a button. */
export const SHOW_SHORTCUTS = "scholion:shortcuts";

/** All keys of the screen, opened by `?`, where single keys can be turned off as well. */
export function KeysDialog() {
  const [open, setOpen] = useState(false);
  const [on, setOn] = useState(shortcuts.areOn());
  useKeys([["?", "", () => setOpen(true)]]);
  useEffect(() => {
    const show = () => setOpen(true);
    document.addEventListener(SHOW_SHORTCUTS, show);
    return () => document.removeEventListener(SHOW_SHORTCUTS, show);
  }, []);
  const acts = [...active.values()].flat().filter(([, label]) => label);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-ink/30" />
        <Dialog.Content className="fixed inset-x-4 top-16 z-30 mx-auto max-w-md border border-ink bg-sheet p-6">
          <Dialog.Title className="mb-1 font-script text-title font-semibold">
            {t("Keyboard shortcuts")}
          </Dialog.Title>
          <Dialog.Description className="mb-4 text-small text-soft">
            {t("Shortcuts are off while you type in a field.")}
          </Dialog.Description>
          <label className="mb-4 flex items-baseline gap-2">
            <input
              type="checkbox"
              checked={on}
              onChange={(e) => {
                shortcuts.turn(e.target.checked);
                setOn(e.target.checked);
              }}
            />
            {t("Use shortcuts of a single letter, digit or sign on this device")}
          </label>
          <dl className="grid grid-cols-[6rem_1fr] gap-y-2">
            {[...acts, ["Ctrl K", t("find")] as const, ["?", t("these shortcuts")] as const].map(
              ([key, label]) => (
                <div key={key + label} className="contents">
                  <dt>
                    <Kbd>{key}</Kbd>
                  </dt>
                  <dd>{label}</dd>
                </div>
              ),
            )}
          </dl>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
