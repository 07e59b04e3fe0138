import { useMutation } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

/** Number and code from a slip, which let into one sitting. */
export function SlipForm({
  way,
  typed = { who: "", code: "" },
  onEnter,
  children,
}: {
  way: string;
  /** What a square code on a slip has told already. */
  typed?: { who: string; code: string };
  onEnter: (who: Schemas["Session"]) => void;
  /** What can be done instead, beside the button. */
  children?: ReactNode;
}) {
  const [who, setWho] = useState(typed.who);
  const [code, setCode] = useState(typed.code);
  const enter = useMutation({
    mutationFn: () => ok(api.POST("/api/session/slip", { body: { way, who, code } })),
    onSuccess: onEnter,
  });
  return (
    <form
      className="grid gap-4"
      onSubmit={(e: FormEvent) => {
        e.preventDefault();
        enter.mutate();
      }}
    >
      <Field
        label={t("Your number, or sign-in name")}
        autoComplete="off"
        autoCapitalize="none"
        value={who}
        onChange={(e) => setWho(e.target.value)}
        required
      />
      <Field
        label={t("The code on your slip")}
        autoComplete="off"
        autoCapitalize="characters"
        spellCheck={false}
        value={code}
        onChange={(e) => setCode(e.target.value)}
        required
      />
      <Trouble error={enter.error} />
      <div className="flex flex-wrap items-center gap-4">
        <Button look="strong" type="submit" className="min-h-11" disabled={enter.isPending}>
          {t("Come in")}
        </Button>
        {children}
      </div>
    </form>
  );
}
