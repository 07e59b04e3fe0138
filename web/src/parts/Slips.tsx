import { type ReactNode, useEffect } from "react";
import type { Schemas } from "../api/client";
import { t } from "../text";
import { day } from "../text/figures";
import { Button } from "./Button";

/** A page of slips to print and cut: what they are stands above, and is not printed. */
export function SlipSheet({
  count,
  words,
  onClose,
  children,
}: {
  count: number;
  words: string;
  onClose: () => void;
  children: ReactNode;
}) {
  useEffect(() => {
    window.scrollTo(0, 0);
  }, []);
  return (
    <main id="page" className="mx-auto w-full max-w-5xl px-6 py-6">
      <div className="no-print mb-5">
        <h1 className="font-script text-title font-semibold">
          {t("{{count}} slips to print and cut", { count })}
        </h1>
        <p className="mt-1 mb-3 text-soft">{words}</p>
        <div className="flex gap-3">
          <Button look="strong" onClick={() => window.print()}>
            {t("Print")}
          </Button>
          <Button onClick={onClose}>{t("Done")}</Button>
        </div>
      </div>
      {children}
    </main>
  );
}

/** Slips of paper to cut, one a person: who, the name to sign in with, and the code that lets in once. */
export function Slips({ slips, onClose }: { slips: Schemas["Slip"][]; onClose: () => void }) {
  const until = slips[0]?.until;
  return (
    <SlipSheet
      count={slips.length}
      words={t(
        "These codes are shown once, now. Each lets one person in one time, to choose a password; making new ones ends these.",
      )}
      onClose={onClose}
    >
      <ul className="grid grid-cols-2 border-t border-l border-rule-strong sm:grid-cols-3">
        {slips.map((s) => (
          <li
            key={s.person}
            className="break-inside-avoid border-r border-b border-dashed border-rule-strong px-4 py-3"
          >
            <p className="font-semibold">{s.name}</p>
            <p className="text-small text-soft">{s.group || " "}</p>
            <p className="mt-2 text-small">{location.host}</p>
            <p>
              {t("Name")}: <strong>{s.username}</strong>
            </p>
            <p>
              {t("Code")}: <strong className="tabular-nums tracking-wider">{s.code}</strong>
            </p>
          </li>
        ))}
      </ul>
      {until && (
        <p className="mt-3 text-small text-soft">{t("The codes hold until {{day}}.", { day: day(until) })}</p>
      )}
    </SlipSheet>
  );
}
