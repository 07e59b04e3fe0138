import { useMutation, useQuery } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { Removed } from "../../parts/Removed";
import { t } from "../../text";

/** One's own items and folders that were removed from the bank. */
export function RemovedItems({ onChanged }: { onChanged: () => void }) {
  const removed = useQuery({
    queryKey: ["bank", "removed"],
    queryFn: () => ok(api.GET("/api/bank/removed")),
  });
  const restore = useMutation({
    mutationFn: (id: string) =>
      removed.data?.find((r) => r.id === id)?.folder
        ? ok(api.POST("/api/bank/folders/{folder}/restore", { params: { path: { folder: id } } }))
        : ok(api.POST("/api/bank/items/{item}/restore", { params: { path: { item: id } } })),
    onSuccess: onChanged,
  });
  return (
    <Removed
      title={t("Removed items and folders")}
      rows={(removed.data ?? []).map((r) => ({
        ...r,
        name: r.folder ? t("Folder {{name}}", { name: r.name }) : r.name,
      }))}
      onRestore={restore.mutate}
      pending={restore.isPending}
      error={restore.error}
    />
  );
}
