import type { ReactNode } from "react";
import { t } from "../text";
import { TextButton } from "./Button";

/** Something large over the whole page, for a class to see: it is closed by Escape. */
export function OnWall({
  label,
  head,
  onClose,
  children,
}: {
  label: string;
  head?: ReactNode;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <div
      role="dialog"
      aria-modal="true"
      aria-label={label}
      data-state="open"
      className="fixed inset-0 z-30 overflow-y-auto bg-sheet p-8"
      onKeyDown={(e) => e.key === "Escape" && onClose()}
    >
      <div className="mx-auto max-w-5xl">
        <p className="flex items-baseline gap-4 text-soft">
          {head}
          <TextButton
            ref={(button) => {
              button?.focus();
            }}
            className="ml-auto"
            onClick={onClose}
          >
            {t("Close")}
          </TextButton>
        </p>
        {children}
      </div>
    </div>
  );
}
