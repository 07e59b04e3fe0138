import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok } from "../../api/client";
import { TextButton } from "../../parts/Button";
import { MarginPart } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

type Kind = "ITEM" | "FOLDER" | "ASSESSMENT" | "RUBRIC";

/** With which colleagues something is shared, to use or to edit. */
export function ShareWith({ kind, object, title }: { kind: Kind; object: string; title: string }) {
  const client = useQueryClient();
  const path = { params: { path: { kind, object } } };
  const shares = useQuery({
    queryKey: ["shares", object],
    queryFn: () => ok(api.GET("/api/shares/{kind}/{object}", path)),
  });
  const colleagues = useQuery({ queryKey: ["colleagues"], queryFn: () => ok(api.GET("/api/colleagues")) });
  const done = () => client.invalidateQueries({ queryKey: ["shares", object] });
  const share = useMutation({
    mutationFn: ({ person, mayEdit }: { person: string; mayEdit: boolean }) =>
      ok(
        api.PUT("/api/shares/{kind}/{object}/{person}", {
          params: { path: { kind, object, person } },
          body: { mayEdit },
        }),
      ),
    onSuccess: done,
  });
  const unshare = useMutation({
    mutationFn: (person: string) =>
      ok(api.DELETE("/api/shares/{kind}/{object}/{person}", { params: { path: { kind, object, person } } })),
    onSuccess: done,
  });
  const free = colleagues.data?.filter((c) => !shares.data?.some((s) => s.person === c.id)) ?? [];
  return (
    <MarginPart title={title}>
      <ul>
        {shares.data?.map((s) => (
          <li key={s.person} className="flex items-baseline gap-2 border-b border-rule py-1">
            <span className="flex-1">{s.name}</span>
            <select
              aria-label={t("What {{name}} can do", { name: s.name })}
              value={s.mayEdit ? "edit" : "use"}
              className="rounded-corner border border-rule bg-sheet text-small"
              onChange={(e) => share.mutate({ person: s.person, mayEdit: e.target.value === "edit" })}
            >
              <option value="use">{t("can use")}</option>
              <option value="edit">{t("can edit")}</option>
            </select>
            <TextButton className="text-small text-soft" onClick={() => unshare.mutate(s.person)}>
              {t("Stop sharing")}
            </TextButton>
          </li>
        ))}
      </ul>
      {free.length > 0 && (
        <select
          aria-label={`${title}: ${t("Add a colleague")}`}
          value=""
          className="mt-1 w-full rounded-corner border border-rule bg-sheet px-2 py-1 text-soft"
          onChange={(e) => e.target.value && share.mutate({ person: e.target.value, mayEdit: false })}
        >
          <option value="">{t("Add a colleague…")}</option>
          {free.map((c) => (
            <option key={c.id} value={c.id}>
              {c.name}
            </option>
          ))}
        </select>
      )}
      <Trouble error={share.error ?? unshare.error} />
    </MarginPart>
  );
}
