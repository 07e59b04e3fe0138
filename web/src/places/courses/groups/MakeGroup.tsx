import { useState } from "react";
import { Link } from "react-router";
import { Button } from "../../../parts/Button";
import { Field } from "../../../parts/Field";
import { Trouble } from "../../../parts/States";
import { t } from "../../../text";
import { useGroupWork } from "./useGroups";

/** Makes a group of students that were found somewhere: groups get sittings and times of their own. */
export function MakeGroup({
  course,
  title,
  students,
}: {
  course: string;
  title: string;
  students: string[];
}) {
  const { save } = useGroupWork(course);
  const [name, setName] = useState(title);
  if (save.isSuccess) {
    return (
      <p role="status" className="text-small">
        {t("The group “{{name}}” is made. You can give it a sitting of its own.", { name })}{" "}
        <Link to={`/courses/${course}/roster`} className="underline">
          {t("Groups of the course")}
        </Link>
      </p>
    );
  }
  return (
    <form
      className="mt-2"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate({ id: null, name: name.trim(), revision: null, students });
      }}
    >
      <Field
        label={t("Name of the group")}
        value={name}
        maxLength={100}
        onChange={(e) => setName(e.target.value)}
      />
      <p className="mt-2">
        <Button type="submit" disabled={save.isPending || name.trim() === ""}>
          {t("Make a group of {{count}} students", { count: students.length })}
        </Button>
      </p>
      <Trouble error={save.error} />
    </form>
  );
}
