import { useState } from "react";
import { Button, TextButton } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { MarginPart } from "../../../parts/Sheet";
import { Trouble } from "../../../parts/States";
import { StudentChecks } from "../../../parts/StudentChecks";
import { t } from "../../../text";
import type { CourseView } from "../useCourse";
import { type Group, useGroups, useGroupWork } from "./useGroups";

/** The groups of a course, in the margin of its rosters. */
export function Groups({ view }: { view: CourseView }) {
  const groups = useGroups(view.id);
  const { save, remove } = useGroupWork(view.id);
  const [editing, setEditing] = useState<Group | "new" | null>(null);
  const removed = remove.isSuccess ? remove.variables : null;
  return (
    <MarginPart title={t("Groups")}>
      <p className="mb-2 text-small text-soft">
        {t("Students under a name, across sections: to be chosen together for a sitting or for more time.")}
      </p>
      <ul>
        {(groups.data ?? []).map((g) => (
          <li key={g.id} className="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-1">
            <strong className="font-script">{g.name}</strong>
            <span className="text-soft">{t("{{count}} students", { count: g.students.length })}</span>
            <TextButton
              aria-label={t("Change the group {{name}}", { name: g.name })}
              onClick={() => setEditing(g)}
            >
              {t("Change")}
            </TextButton>
            <TextButton
              aria-label={t("Remove the group {{name}}", { name: g.name })}
              disabled={remove.isPending}
              onClick={() => remove.mutate(g)}
            >
              {t("Remove")}
            </TextButton>
          </li>
        ))}
      </ul>
      {removed && (
        <p role="status" className="text-small">
          {t("The group {{name}} is removed.", { name: removed.name })}{" "}
          <TextButton
            onClick={() =>
              save.mutate(
                { id: null, name: removed.name, students: removed.students, revision: null },
                { onSuccess: () => remove.reset() },
              )
            }
          >
            {t("Undo")}
          </TextButton>
        </p>
      )}
      <Trouble error={remove.error ?? (editing ? null : save.error)} />
      {editing ? (
        <GroupForm
          key={editing === "new" ? "new" : `${editing.id} ${editing.revision}`}
          view={view}
          group={editing === "new" ? null : editing}
          save={save}
          onDone={() => setEditing(null)}
        />
      ) : (
        view.students.length > 0 && (
          <TextButton
            className="mt-3 block"
            onClick={() => {
              save.reset();
              setEditing("new");
            }}
          >
            {t("Make a group")}
          </TextButton>
        )
      )}
    </MarginPart>
  );
}

function GroupForm({
  view,
  group,
  save,
  onDone,
}: {
  view: CourseView;
  group: Group | null;
  save: ReturnType<typeof useGroupWork>["save"];
  onDone: () => void;
}) {
  const [name, setName] = useState(group?.name ?? "");
  const [students, setStudents] = useState(group?.students ?? []);
  const all = view.students.filter((s, at) => view.students.findIndex((o) => o.id === s.id) === at);
  return (
    <form
      className="mt-3 grid gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate(
          { id: group?.id ?? null, name, students, revision: group?.revision ?? null },
          { onSuccess: onDone },
        );
      }}
    >
      <Field
        label={t("Name of the group")}
        value={name}
        maxLength={80}
        onChange={(e) => setName(e.target.value)}
      />
      <StudentChecks
        legend={t("{{n}} of {{all}} in it", { n: students.length, all: all.length })}
        all={all}
        chosen={students}
        onChange={setStudents}
      />
      <Trouble error={save.error} />
      <div className="flex flex-wrap gap-3">
        <Button type="submit" disabled={name.trim() === "" || students.length === 0 || save.isPending}>
          {t("Save the group")}
        </Button>
        <TextButton onClick={onDone}>{t("Leave it as it is")}</TextButton>
      </div>
    </form>
  );
}
