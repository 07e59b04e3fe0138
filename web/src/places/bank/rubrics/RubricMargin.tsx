import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, ok, type Schemas } from "../../../api/client";
import { TextButton } from "../../../parts/Button";
import { MarginPart } from "../../../parts/Sheet";
import { Loaded, Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { ShareWith } from "../ShareWith";
import { Versions } from "../Versions";

/** Where the chosen rubric is used, what each of its versions changed, and with whom it is shared. */
export function RubricMargin({ line, onCopy }: { line: Schemas["RubricLine"]; onCopy: () => void }) {
  const client = useQueryClient();
  const path = { params: { path: { rubric: line.id } } };
  const done = () => client.invalidateQueries({ queryKey: ["rubrics"] });
  const query = useQuery({
    queryKey: ["rubrics", line.id, line.version],
    queryFn: () => ok(api.GET("/api/rubrics/{rubric}", path)),
  });
  const back = useMutation({
    mutationFn: (v: Schemas["RubricVersion"]) =>
      ok(
        api.PUT("/api/rubrics/{rubric}", {
          ...path,
          body: { title: v.title, definition: v.definition, version: line.version },
        }),
      ),
    onSuccess: done,
  });
  const remove = useMutation({
    mutationFn: () => ok(api.DELETE("/api/rubrics/{rubric}", path)),
    onSuccess: done,
  });
  return (
    <Loaded query={query}>
      {(view) => (
        <>
          <MarginPart title={t("Used in")}>
            {view.uses.length === 0 && <p className="text-soft">{t("Not used yet.")}</p>}
            <ul className="text-small">
              {view.uses.map((u) => (
                <li key={u.assessment + u.item} className="border-b border-rule py-1">
                  <Link className="underline" to={`/a/${u.assessment}/key?item=${u.item}`}>
                    {u.title}
                  </Link>{" "}
                  <span className={u.version < line.version ? "text-waiting" : "text-soft"}>
                    {t("version {{n}}", { n: u.version })}
                  </span>
                </li>
              ))}
            </ul>
          </MarginPart>
          <Versions
            versions={view.versions}
            latest={line.version}
            onBack={line.mayEdit ? (v) => back.mutate(v) : undefined}
          >
            {(v) =>
              v.changes.map((words) => (
                <span key={words} className="block">
                  {words}
                </span>
              ))
            }
          </Versions>
          {line.mine && <ShareWith kind="RUBRIC" object={line.id} title={t("This rubric is shared with")} />}
          <p className="flex flex-wrap gap-4 text-small">
            <TextButton className="underline" onClick={onCopy}>
              {t("Take a copy")}
            </TextButton>
            {line.mine && (
              <TextButton className="underline" disabled={remove.isPending} onClick={() => remove.mutate()}>
                {t("Remove from the bank")}
              </TextButton>
            )}
          </p>
          <p className="text-small text-soft">
            {t("Assessments that use it keep their own copy. You can restore it below the list.")}
          </p>
          <Trouble error={back.error ?? remove.error} />
        </>
      )}
    </Loaded>
  );
}
