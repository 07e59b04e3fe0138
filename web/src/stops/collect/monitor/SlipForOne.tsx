import { useMutation } from "@tanstack/react-query";
import { api, ok } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { wayInGroups } from "../sitting/wayLink";
import { nameOf, type Row } from "./useRunning";

/** A code for one student who has no password at hand: told once, to be written down or read out. */
export function SlipForOne({ row }: { row: Row }) {
  const make = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/sittings/{sitting}/slips", {
          params: { path: { sitting: row.sitting } },
          body: { students: [row.student] },
        }),
      ),
  });
  const slip = make.data?.slips[0];
  return (
    <div className="mt-2">
      {make.data && slip ? (
        <div role="status" className="border-l-3 border-by-rule pl-2">
          <p>
            {location.host}/s/<strong>{wayInGroups(make.data.way)}</strong>
          </p>
          <p>
            {slip.number ? t("Number") : t("Name")}: <strong>{slip.number ?? slip.username}</strong>
          </p>
          <p>
            {t("Code")}: <strong className="tabular-nums tracking-wider">{slip.code}</strong>
          </p>
          <p className="text-small text-soft">
            {t("It is shown once. It lets {{name}} into this only, until it is over.", { name: row.given })}
          </p>
        </div>
      ) : (
        <TextButton disabled={make.isPending} onClick={() => make.mutate()}>
          {t("Make a code to come in without a password for {{name}}", { name: nameOf(row) })}
        </TextButton>
      )}
      <Trouble error={make.error} />
    </div>
  );
}
