import { useMutation } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** All items of the key at once into the bank, but for those that are there already. */
export function WholeIntoBank({ assessment, disabled }: { assessment: string; disabled: boolean }) {
  const put = useMutation({
    mutationFn: () => ok(api.POST("/api/bank/papers", { body: { assessment, folder: null } })),
  });
  return (
    <>
      <TextButton
        className="mt-3 block underline disabled:text-soft"
        disabled={disabled || put.isPending}
        onClick={() => put.mutate()}
      >
        {t("Copy all to the bank")}
      </TextButton>
      {put.data && (
        <p className="mt-1 text-small" role="status">
          {t("{{n}} copied", { n: put.data.added })}
          {put.data.already > 0 && `, ${t("{{n}} already there", { n: put.data.already })}`}
          {put.data.unfinished > 0 &&
            `, ${t("{{n}} not finished, so not copied", { n: put.data.unfinished })}`}
        </p>
      )}
      <Trouble error={put.error} />
    </>
  );
}
