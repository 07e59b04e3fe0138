import { useMutation } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { useNewPassword } from "../../parts/NewPassword";
import { Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

type Entering = { onEnter: (who: Schemas["Session"]) => void };

/** Name and password, or the code of a slip: whoever has one chooses a password first. */
export function SignInForm({
  onEnter,
  children,
}: Entering & {
  /** What can be done instead, beside the button. */
  children?: ReactNode;
}) {
  const [username, setUsername] = useState("");
  const [password, setPassword] = useState("");
  const signIn = useMutation({
    mutationFn: () => ok(api.POST("/api/session", { body: { username, password } })),
    onSuccess: onEnter,
  });
  if (signIn.error instanceof Problem && signIn.error.code === "choose-password") {
    return <ChoosePassword username={username} code={password} onEnter={onEnter} />;
  }
  const submit = (e: FormEvent) => {
    e.preventDefault();
    signIn.mutate();
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      <Field
        label={t("Sign-in name")}
        autoComplete="username"
        autoCapitalize="none"
        value={username}
        onChange={(e) => setUsername(e.target.value)}
        required
      />
      <Field
        label={t("Password, or the code on your slip")}
        type="password"
        autoComplete="current-password"
        value={password}
        onChange={(e) => setPassword(e.target.value)}
        required
      />
      <Trouble error={signIn.error} />
      <div className="flex items-center gap-4">
        <Button look="strong" type="submit" disabled={signIn.isPending}>
          {t("Sign in")}
        </Button>
        {children}
      </div>
    </form>
  );
}

function ChoosePassword({ username, code, onEnter }: Entering & { username: string; code: string }) {
  const secret = useNewPassword();
  const choose = useMutation({
    mutationFn: () =>
      ok(api.POST("/api/session/code", { body: { username, code, password: secret.password } })),
    onSuccess: onEnter,
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    secret.ready && choose.mutate();
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      <div role="status">
        <Note>{t("This code lets you in once. Choose a password of your own now.")}</Note>
      </div>
      {secret.fields}
      <Trouble error={choose.error} />
      <div>
        <Button look="strong" type="submit" disabled={!secret.ready || choose.isPending}>
          {t("Save password and sign in")}
        </Button>
      </div>
    </form>
  );
}
