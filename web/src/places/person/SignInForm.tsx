import { useMutation } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** Name and password; whoever they belong to comes back. */
export function SignInForm({
  onEnter,
  children,
}: {
  onEnter: (who: Schemas["Session"]) => void;
  /** What can be done instead, beside the button. */
  children?: ReactNode;
}) {
  const [username, setUsername] = useState("");
  const [password, setPassword] = useState("");
  const signIn = useMutation({
    mutationFn: () => ok(api.POST("/api/session", { body: { username, password } })),
    onSuccess: onEnter,
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    signIn.mutate();
  };
  return (
    <form onSubmit={submit} className="grid gap-4">
      <Field
        label={t("Sign-in name")}
        autoComplete="username"
        value={username}
        onChange={(e) => setUsername(e.target.value)}
        required
      />
      <Field
        label={t("Password")}
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
