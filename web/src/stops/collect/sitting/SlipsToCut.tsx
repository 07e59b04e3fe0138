import { QRCodeSVG } from "qrcode.react";
import type { Schemas } from "../../../api/client";
import { SlipSheet } from "../../../parts/Slips";
import { t } from "../../../text";
import { moment } from "../../../text/figures";
import { slipLink, wayInGroups } from "./wayLink";

/** Slips of paper to cut, one a student: the way to the sitting, and the code that lets them in. */
export function SlipsToCut({ made, onClose }: { made: Schemas["SlipsMade"]; onClose: () => void }) {
  return (
    <SlipSheet
      count={made.slips.length}
      words={t(
        "These codes are shown once, now. Each lets one student into this sitting and nothing else, until it is over; making new ones ends these.",
      )}
      onClose={onClose}
    >
      <ul className="grid grid-cols-1 border-t border-l border-rule-strong sm:grid-cols-2 print:grid-cols-2">
        {made.slips.map((s) => (
          <li
            key={s.student}
            className="flex break-inside-avoid items-center gap-4 border-r border-b border-dashed border-rule-strong px-4 py-3"
          >
            <QRCodeSVG
              value={slipLink(made.way, s.number ?? s.username, s.code)}
              size={96}
              className="shrink-0"
              aria-hidden="true"
            />
            <div className="min-w-0">
              <p className="font-semibold">{`${s.given} ${s.family}`}</p>
              <p className="text-small text-soft">
                {made.title} · {moment(made.opens)}
              </p>
              <p className="mt-1 text-small wrap-anywhere">
                {location.host}/s/<strong>{wayInGroups(made.way)}</strong>
              </p>
              <p>
                {s.number ? t("Number") : t("Name")}: <strong>{s.number ?? s.username}</strong>
              </p>
              <p>
                {t("Code")}: <strong className="tabular-nums tracking-wider">{s.code}</strong>
              </p>
            </div>
          </li>
        ))}
      </ul>
    </SlipSheet>
  );
}
