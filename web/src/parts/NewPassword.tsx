import { useState } from "react";
import { t } from "../text";
import { Field } from "./Field";

/** A new password, typed twice; `ready` says whether both are there and equal. */
export function useNewPassword() {
  const [password, setPassword] = useState("");
  const [again, setAgain] = useState("");
  const differs = again !== "" && again !== password;
  return {
    password,
    ready: password !== "" && again === password,
    clear: () => {
      setPassword("");
      setAgain("");
    },
    fields: (
      <>
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
      </>
    ),
  };
}
