import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { Removed } from "../../parts/Removed";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** Removes the chosen framework when no course works with it; removed ones can be restored. */
export function RemoveFramework({ chosen }: { chosen: Schemas["FrameworkLine"] | undefined }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const removed = useQuery({
    queryKey: ["frameworks", "removed"],
    queryFn: () => ok(api.GET("/api/frameworks/removed")),
  });
  const done = () => client.invalidateQueries({ queryKey: ["frameworks"] });
  const remove = useMutation({
    mutationFn: (framework: string) =>
      ok(api.DELETE("/api/frameworks/{framework}", { params: { path: { framework } } })),
    onSuccess: async () => {
      await done();
      void navigate("/standards");
    },
  });
  const restore = useMutation({
    mutationFn: (framework: string) =>
      ok(api.POST("/api/frameworks/{framework}/restore", { params: { path: { framework } } })),
    onSuccess: done,
  });
  return (
    <>
      {chosen && (
        <p className="mt-4 text-small">
          <TextButton
            className="underline"
            disabled={remove.isPending}
            onClick={() => remove.mutate(chosen.id)}
          >
            {t("Remove {{title}} {{version}}", { title: chosen.title, version: chosen.version })}
          </TextButton>
        </p>
      )}
      <Trouble error={remove.error} />
      <Removed
        title={t("Removed frameworks")}
        rows={(removed.data ?? []).map((f) => ({ id: f.id, name: `${f.title} ${f.version}` }))}
        onRestore={restore.mutate}
        pending={restore.isPending}
        error={restore.error}
      />
    </>
  );
}
