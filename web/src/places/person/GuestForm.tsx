import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { Trouble } from "../../parts/States";
import { t } from "../../text";

type Way = Schemas["WayTo"];
type In = Schemas["GuestIn"];

/** What looks like an address; whether letters arrive there only a letter tells. */
const LIKE_AN_ADDRESS = /^[^\s@]+@[^\s@]+\.[^\s@.]{2,}$/;

/** A word of this browser's own: sent twice, it is the same guest. */
function onceOf(way: string): string {
  const name = `guest:${way}`;
  const once = sessionStorage.getItem(name) ?? crypto.randomUUID();
  sessionStorage.setItem(name, once);
  return once;
}

/** What somebody says of themselves who is on no roster. */
export function GuestForm({ to, onIn }: { to: Way; onIn: (came: In) => void }) {
  const { who, form } = to.guests;
  const [said, setSaid] = useState({ given: "", family: "", group: "", email: "" });
  const [own, setOwn] = useState<Record<string, string>>({});
  const [left, setLeft] = useState(false);
  const come = useMutation({
    mutationFn: () =>
      ok(api.POST("/api/session/guest", { body: { way: to.way, once: onceOf(to.way), ...said, own } })),
    onSuccess: (came) => {
      sessionStorage.removeItem(`guest:${to.way}`);
      onIn(came);
    },
  });
  const field = (name: keyof typeof said) => ({
    value: said[name],
    maxLength: 100,
    onChange: (e: { target: { value: string } }) => setSaid({ ...said, [name]: e.target.value }),
  });
  const asksEmail = who === "ADDRESSES" || form.email !== "NO";
  const odd = left && said.email !== "" && !LIKE_AN_ADDRESS.test(said.email.trim());
  return (
    <form
      className="grid gap-4"
      onSubmit={(e: FormEvent) => {
        e.preventDefault();
        come.mutate();
      }}
    >
      <Field label={t("Your first name")} autoComplete="given-name" required {...field("given")} />
      <Field label={t("Your surname")} autoComplete="family-name" required {...field("family")} />
      {form.groupAsked !== "NO" && (
        <Field
          label={form.groupAsked === "MUST" ? t("Your class") : t("Your class (may be left empty)")}
          required={form.groupAsked === "MUST"}
          {...field("group")}
        />
      )}
      {asksEmail && (
        <Field
          label={
            who === "ADDRESSES"
              ? t("Your e-mail address at the school")
              : form.email === "MUST"
                ? t("Your e-mail address")
                : t("Your e-mail address (may be left empty)")
          }
          type="email"
          autoComplete="email"
          required={who === "ADDRESSES" || form.email === "MUST"}
          fault={odd ? t("This is not an e-mail address yet, such as name@school.example.") : undefined}
          onBlur={() => setLeft(true)}
          {...field("email")}
        />
      )}
      {form.own.map((f) => (
        <Field
          key={f.label}
          label={f.required ? f.label : t("{{label}} (may be left empty)", { label: f.label })}
          required={f.required}
          maxLength={200}
          value={own[f.label] ?? ""}
          onChange={(e) => setOwn({ ...own, [f.label]: e.target.value })}
        />
      ))}
      <Trouble error={come.error} />
      <Button
        look="strong"
        type="submit"
        className="min-h-11 justify-self-start"
        disabled={come.isPending || odd}
      >
        {who === "ADDRESSES" ? t("Send me the code") : t("Come in as a guest")}
      </Button>
    </form>
  );
}
