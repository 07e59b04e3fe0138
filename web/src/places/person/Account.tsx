import { useMutation, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { useNewPassword } from "../../parts/NewPassword";
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
  const secret = useNewPassword();
  const change = useMutation({
    mutationFn: () => ok(api.POST("/api/account/password", { body: { current, password: secret.password } })),
    onSuccess: () => {
      setCurrent("");
      secret.clear();
    },
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    secret.ready && change.mutate();
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
      {secret.fields}
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
