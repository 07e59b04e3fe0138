import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, ok } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { useNewPassword } from "../../parts/NewPassword";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { LanguageField, ZoneField } from "../school/fields";
import { wordOf } from "./Enter";

const START = {
  school: "",
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone || "UTC",
  language: "en",
  given: "",
  family: "",
  email: "",
  username: "",
};

/** The first page of a new school: what it is called, and who keeps it. */
export function Begin() {
  const [entry, setEntry] = useState(START);
  const set = (field: keyof typeof START) => (value: string) => setEntry({ ...entry, [field]: value });
  const secret = useNewPassword();
  const begin = useMutation({
    mutationFn: () =>
      ok(
        api.POST("/api/beginning", {
          body: { ...entry, email: entry.email || null, word: wordOf(), password: secret.password },
        }),
      ),
    onSuccess: () => location.assign("/"),
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    secret.ready && begin.mutate();
  };
  const text = (field: keyof typeof START, label: string, rest = {}) => (
    <Field label={label} value={entry[field]} onChange={(e) => set(field)(e.target.value)} {...rest} />
  );
  return (
    <main id="page" className="mx-auto max-w-2xl px-6 py-10">
      <h1 className="font-script text-[2rem] font-semibold">{t("Begin your school")}</h1>
      <p className="mt-1 mb-6 text-soft">
        {t("This page works once. You become the first administrator and can add everybody else afterwards.")}
      </p>
      <form onSubmit={submit} className="grid gap-4">
        <h2 className="font-script text-words font-semibold">{t("The school")}</h2>
        {text("school", t("Name of the school"), { required: true, autoFocus: true })}
        <div className="grid gap-4 sm:grid-cols-2">
          <ZoneField value={entry.zone} onChange={set("zone")} />
          <LanguageField value={entry.language} onChange={set("language")} />
        </div>
        <h2 className="mt-4 font-script text-words font-semibold">{t("You")}</h2>
        <div className="grid gap-4 sm:grid-cols-2">
          {text("given", t("First name"), { required: true, autoComplete: "given-name" })}
          {text("family", t("Surname"), { required: true, autoComplete: "family-name" })}
          {text("username", t("Sign-in name"), { required: true, autoComplete: "username" })}
          {text("email", t("E-mail (may be left empty)"), { type: "email", autoComplete: "email" })}
        </div>
        <div className="grid gap-4 sm:grid-cols-2">{secret.fields}</div>
        <Trouble error={begin.error} />
        <div>
          <Button look="strong" type="submit" disabled={!secret.ready || begin.isPending}>
            {t("Begin the school")}
          </Button>
        </div>
      </form>
    </main>
  );
}
