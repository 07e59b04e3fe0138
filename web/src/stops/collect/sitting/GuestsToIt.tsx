import { TextButton } from "../../../parts/Button";
import { Check } from "../../../parts/Field";
import { t } from "../../../text";
import { Box, Pick } from "./boxes";
import type { Guests } from "./draft";

type Form = Guests["form"];
type Ask = Form["email"];
const MOST_FIELDS = 6;

/** Who comes beside its students by the short link, and what they are asked before the first question. */
export function GuestsToIt({ guests, onChange }: { guests: Guests; onChange: (guests: Guests) => void }) {
  const set = (part: Partial<Form>) => onChange({ ...guests, form: { ...guests.form, ...part } });
  return (
    <>
      <Pick
        label={t("Beside its students, by the short link:")}
        value={guests.who}
        options={[
          ["NOBODY", t("nobody")],
          ["ADDRESSES", t("whoever has an e-mail address of the school")],
          ["ANYBODY", t("whoever has the link")],
        ]}
        onChange={(who) => onChange({ ...guests, who })}
      />
      {guests.who !== "NOBODY" && (
        <fieldset className="grid w-full justify-items-start gap-2 border-l-4 border-rule pl-3">
          <legend className="sr-only">{t("What guests are asked before the first question")}</legend>
          <p className="text-small text-soft">
            {guests.who === "ADDRESSES"
              ? t("They give their name, and a code is sent to the address. They have this and nothing else.")
              : t("They give their name and get a code to come back with. They have this and nothing else.")}
          </p>
          <AskFor
            label={t("Asked for their class:")}
            value={guests.form.groupAsked}
            onChange={(groupAsked) => set({ groupAsked })}
          />
          {guests.who === "ANYBODY" && (
            <AskFor
              label={t("Asked for an e-mail address:")}
              value={guests.form.email}
              onChange={(email) => set({ email })}
            />
          )}
          {guests.form.own.map((field, at) => (
            <OwnField
              // Its place is what it is known by: its name is being typed.
              key={at}
              at={at}
              field={field}
              onChange={(own) => set({ own: guests.form.own.map((f, i) => (i === at ? own : f)) })}
              onRemove={() => set({ own: guests.form.own.filter((_, i) => i !== at) })}
            />
          ))}
          {guests.form.own.length < MOST_FIELDS && (
            <TextButton onClick={() => set({ own: [...guests.form.own, { label: "", required: false }] })}>
              {t("Add a field of your own")}
            </TextButton>
          )}
        </fieldset>
      )}
    </>
  );
}

function AskFor({ label, value, onChange }: { label: string; value: Ask; onChange: (value: Ask) => void }) {
  return (
    <Pick
      label={label}
      value={value}
      options={[
        ["NO", t("no")],
        ["MAY", t("yes, it can be left empty")],
        ["MUST", t("yes, it has to be given")],
      ]}
      onChange={onChange}
    />
  );
}

function OwnField({
  at,
  field,
  onChange,
  onRemove,
}: {
  at: number;
  field: Form["own"][number];
  onChange: (field: Form["own"][number]) => void;
  onRemove: () => void;
}) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4">
      <Box
        label={t("Field {{n}}", { n: at + 1 })}
        value={field.label}
        maxLength={80}
        onChange={(e) => onChange({ ...field, label: e.target.value })}
      />
      <Check checked={field.required} onChange={(required) => onChange({ ...field, required })}>
        {t("has to be filled in")}
      </Check>
      <TextButton onClick={onRemove} aria-label={t("Remove field {{n}}", { n: at + 1 })}>
        {t("Remove")}
      </TextButton>
    </div>
  );
}
