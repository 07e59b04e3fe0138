import { useMutation } from "@tanstack/react-query";
import type { Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { MarginPart, Note } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import type { Typed } from "./useTypedSheets";

const SHOWN = 20;

/** Cells in which two who typed the same sheet differ: the paper decides. */
export function Differences({ view, typed }: { view: Schemas["TypedView"]; typed: Typed }) {
  const stays = useMutation({ mutationFn: typed.stays });
  if (view.differences.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("{{count}} cells were typed differently", { count: view.differences.length })}>
      <p className="mb-2 text-small">{t("Look at the sheet. Nothing comes in before each is decided.")}</p>
      <Trouble error={stays.error} />
      {view.differences.slice(0, SHOWN).map((d) => (
        <Note key={d.student + d.item} by="waiting">
          <p>{t("{{name}}, question {{n}}", { name: d.name, n: d.number })}</p>
          <p className="mt-1 flex flex-wrap gap-2">
            {d.values.map((v) => (
              <Button
                key={v.name}
                look="quiet"
                disabled={!d.mine || stays.isPending}
                onClick={() => (v.me ? stays.mutate(d) : typed.type(d.student, d.item, v.value))}
              >
                <span className="font-script">{v.value || t("nothing")}</span>{" "}
                <span className="font-normal text-soft">{v.me ? t("you") : v.name}</span>
              </Button>
            ))}
          </p>
          {!d.mine && <p className="text-small text-soft">{t("One of those who typed it decides.")}</p>}
        </Note>
      ))}
      {view.differences.length > SHOWN && (
        <p className="text-small text-soft">
          {t("{{count}} more below these", { count: view.differences.length - SHOWN })}
        </p>
      )}
    </MarginPart>
  );
}
