import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

const ENTRY = "grid max-w-md gap-4 border-t border-rule py-6";

/** One's own password, and where one is signed in. */
export function Account({ session }: { session: Schemas["Session"] }) {
  return (
    <main id="page" className="mx-auto w-full max-w-3xl px-6 py-8">
      <h1 className="font-script text-title font-semibold">{t("Your account")}</h1>
      <p className="mt-1 mb-6 text-soft">
        {session.name} · {session.school}
      </p>
      <NewPassword />
      <SignOutEverywhere />
    </main>
  );
}

function NewPassword() {
  const [current, setCurrent] = useState("");
  const [password, setPassword] = useState("");
  const [again, setAgain] = useState("");
  const change = useMutation({
    mutationFn: () => ok(api.POST("/api/account/password", { body: { current, password } })),
    onSuccess: () => {
      setCurrent("");
      setPassword("");
      setAgain("");
    },
  });
  const differs = again !== "" && again !== password;
  const submit = (e: FormEvent) => {
    e.preventDefault();
    if (!differs && again !== "") {
      change.mutate();
    }
  };
  return (
    <form onSubmit={submit} className={ENTRY}>
      <h2 className="font-script text-words font-semibold">{t("Change your password")}</h2>
      <Field
        label={t("Your password now")}
        type="password"
        autoComplete="current-password"
        value={current}
        onChange={(e) => setCurrent(e.target.value)}
        required
      />
      <Field
        label={t("New password (at least 8 characters)")}
        type="password"
        autoComplete="new-password"
        value={password}
        onChange={(e) => setPassword(e.target.value)}
        required
      />
      <Field
        label={t("New password again")}
        type="password"
        autoComplete="new-password"
        value={again}
        onChange={(e) => setAgain(e.target.value)}
        fault={differs ? t("The two new passwords differ.") : undefined}
        required
      />
      <Trouble error={change.error} />
      {change.isSuccess && current === "" && (
        <p role="status">{t("Your password has changed. You are signed out everywhere else.")}</p>
      )}
      <div>
        <Button look="strong" type="submit" disabled={change.isPending}>
          {t("Change password")}
        </Button>
      </div>
    </form>
  );
}

function SignOutEverywhere() {
  const client = useQueryClient();
  const leave = useMutation({
    mutationFn: () => ok(api.DELETE("/api/session", { params: { query: { everywhere: true } } })),
    onSuccess: () => {
      client.clear();
      location.assign("/");
    },
  });
  return (
    <section className={ENTRY}>
      <h2 className="font-script text-words font-semibold">{t("Signed in elsewhere?")}</h2>
      <p>{t("If you forgot to sign out on another device, sign out on all of them, here too.")}</p>
      <Trouble error={leave.error} />
      <div>
        <Button onClick={() => leave.mutate()} disabled={leave.isPending}>
          {t("Sign out everywhere")}
        </Button>
      </div>
    </section>
  );
}
