import { type FormEvent, useState } from "react";
import { t } from "../text";
import { Button } from "./Button";
import { Field } from "./Field";

/** One more of something that needs only a name; the field is empty again when it was taken. */
export function AddOne({
  label,
  adding,
  onAdd,
}: {
  label: string;
  adding: boolean;
  onAdd: (name: string, taken: () => void) => void;
}) {
  const [name, setName] = useState("");
  const submit = (e: FormEvent) => {
    e.preventDefault();
    onAdd(name, () => setName(""));
  };
  return (
    <form onSubmit={submit} className="flex items-end gap-2">
      <Field
        className="flex-1"
        label={label}
        value={name}
        onChange={(e) => setName(e.target.value)}
        required
      />
      <Button type="submit" disabled={adding}>
        {t("Add")}
      </Button>
    </form>
  );
}
