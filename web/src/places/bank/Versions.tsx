import type { ReactNode } from "react";
import { TextButton } from "../../parts/Button";
import { MarginPart } from "../../parts/Sheet";
import { t } from "../../text";
import { moment } from "../../text/figures";

type Version = { version: number; by: string; at: string };

/** The versions that something kept had, the latest first; an earlier one can be made the latest again. */
export function Versions<V extends Version>({
  versions,
  latest,
  onBack,
  children,
}: {
  versions: V[];
  latest: number;
  /** Missing where one may not change it. */
  onBack?: ((version: V) => void) | undefined;
  children: (version: V) => ReactNode;
}) {
  return (
    <MarginPart title={t("Versions")}>
      <ul className="text-small">
        {versions.map((v) => (
          <li key={v.version} className="border-b border-rule py-1">
            <strong>{v.version}</strong> · {v.by}, {moment(v.at)}
            {children(v)}
            {onBack && v.version !== latest && (
              <TextButton className="block" onClick={() => onBack(v)}>
                {t("Restore this version")}
              </TextButton>
            )}
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}
