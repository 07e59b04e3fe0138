import { type FormEvent, useState } from "react";
import type { Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Field } from "../../parts/Field";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import type { Entry, Person } from "./usePeople";

export const ROLES = { TEACHER: "teacher", STUDENT: "student", ADMIN: "administrator" } as const;

/** What somebody is called and is: a new person, or one who is there. */
export function PersonForm({
  person,
  saving,
  error,
  onSave,
  onStop,
}: {
  person: Person | null;
  saving: boolean;
  error: unknown;
  onSave: (entry: Entry) => void;
  onStop: () => void;
}) {
  const [entry, setEntry] = useState({
    role: person?.role ?? ("TEACHER" as Schemas["PersonLine"]["role"]),
    given: person?.given ?? "",
    family: person?.family ?? "",
    number: person?.number ?? "",
    email: person?.email ?? "",
    username: person?.username ?? "",
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    onSave({
      ...entry,
      number: entry.number || null,
      email: entry.email || null,
      username: entry.username || null,
      revision: person?.revision ?? null,
    });
  };
  const text = (field: "given" | "family" | "number" | "email" | "username", label: string, rest = {}) => (
    <Field
      label={label}
      value={entry[field]}
      autoComplete="off"
      onChange={(e) => setEntry({ ...entry, [field]: e.target.value })}
      {...rest}
    />
  );
  return (
    <form onSubmit={submit} className="grid gap-3">
      <Choose
        label={t("Role")}
        value={entry.role}
        options={(["TEACHER", "STUDENT", "ADMIN"] as const).map((r) => [r, t(ROLES[r])])}
        onChange={(role) => setEntry({ ...entry, role: role as typeof entry.role })}
      />
      {text("given", t("First name"), { required: true, autoFocus: true })}
      {text("family", t("Surname"), { required: true })}
      {text("number", t("Number"))}
      {text("email", t("E-mail"), { type: "email" })}
      {text("username", t("Sign-in name (leave empty to have one made)"), { required: person !== null })}
      <Trouble error={error} />
      <div className="flex gap-3">
        <Button look="strong" type="submit" disabled={saving}>
          {person ? t("Save changes") : t("Add this person")}
        </Button>
        <Button look="quiet" onClick={onStop}>
          {t("Not now")}
        </Button>
      </div>
    </form>
  );
}
