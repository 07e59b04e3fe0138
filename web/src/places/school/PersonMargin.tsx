import { useState } from "react";
import { Button } from "../../parts/Button";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { PersonForm } from "./PersonForm";
import { type Person, usePersonWork } from "./usePeople";

/** The chosen person: changed, let in, or kept out. */
export function PersonMargin({
  person,
  onCodes,
  onClose,
}: {
  person: Person;
  onCodes: (people: string[]) => void;
  onClose: () => void;
}) {
  const work = usePersonWork();
  const [saved, setSaved] = useState(false);
  return (
    <MarginPart title={`${person.given} ${person.family}`}>
      <PersonForm
        key={person.id + person.revision}
        person={person}
        saving={work.change.isPending}
        error={work.change.error}
        onSave={(entry) => work.change.mutate({ id: person.id, entry }, { onSuccess: () => setSaved(true) })}
        onStop={onClose}
      />
      {saved && !work.change.isPending && !work.change.error && <p role="status">{t("Saved.")}</p>}
      <h3 className="mt-5 mb-2 text-small font-semibold text-soft">{t("Signing in")}</h3>
      <p className="mb-2">
        {person.disabled
          ? t("Cannot sign in: disabled.")
          : person.hasPassword
            ? t("Has a password.")
            : t("Has no password yet.")}
      </p>
      {!person.disabled && (
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => work.link.mutate(person.id)} disabled={work.link.isPending}>
            {t("Make a link")}
          </Button>
          <Button onClick={() => onCodes([person.id])}>{t("Print a code")}</Button>
          {person.email && (
            <Button
              onClick={() => work.invite.mutate([person.id])}
              disabled={work.invite.isPending || person.letter?.state === "WAITING"}
            >
              {t("Invite by mail")}
            </Button>
          )}
        </div>
      )}
      {person.letter && <Letter letter={person.letter} />}
      {work.link.data && (
        <div role="status" className="mt-3">
          <Note>
            <p className="text-small">
              {t("Give this link to {{name}} and to nobody else. It works once, for 7 days.", {
                name: person.given,
              })}
            </p>
            <input
              readOnly
              aria-label={t("The link")}
              value={work.link.data.link}
              onFocus={(e) => e.target.select()}
              className="mt-1 w-full rounded-corner border border-rule-strong bg-sheet px-2 py-1 text-small"
            />
          </Note>
        </div>
      )}
      <div className="mt-4">
        <Button
          look="quiet"
          onClick={() => work.disable.mutate({ id: person.id, disabled: !person.disabled })}
          disabled={work.disable.isPending}
        >
          {person.disabled ? t("Let sign in again") : t("Disable")}
        </Button>
        <p className="mt-1 text-small text-soft">
          {t("Nobody signs in as somebody who is disabled. Their work stays where it is.")}
        </p>
      </div>
      <Trouble error={work.link.error ?? work.invite.error ?? work.disable.error} />
    </MarginPart>
  );
}

/** What has become of the last invitation that was mailed. */
function Letter({ letter }: { letter: NonNullable<Person["letter"]> }) {
  return (
    <div role="status" className="mt-2 text-small">
      {letter.state === "SENT" && (
        <p className="text-soft">
          {t("Invited by mail, {{when}}. The link works once, for 7 days.", { when: moment(letter.at) })}
        </p>
      )}
      {letter.state === "WAITING" && (
        <p className="text-waiting">
          {letter.why
            ? t("The mail server does not take the invitation; it is tried again. It says: {{why}}", {
                why: letter.why,
              })
            : t("The invitation is on its way.")}
        </p>
      )}
      {letter.state === "FAILED" && (
        <p className="text-waiting">
          {t("The invitation could not be sent, {{when}}. The mail server says: {{why}}", {
            when: moment(letter.at),
            why: letter.why,
          })}
        </p>
      )}
    </div>
  );
}
