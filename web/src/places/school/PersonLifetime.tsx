import { useState } from "react";
import { Button, TextButton } from "../../parts/Button";
import { Field } from "../../parts/Field";
import { MarginPart, Note } from "../../parts/Sheet";
import { Trouble } from "../../parts/States";
import { t } from "../../text";
import { useLifetime } from "./useLifetime";
import type { Person } from "./usePeople";

/** Two who may be one, all that is kept of a person, and forgetting who they are. */
export function PersonLifetime({ person }: { person: Person }) {
  return (
    <>
      <Twins person={person} />
      <MarginPart title={t("What is kept")}>
        <a className="underline" href={`/api/people/${person.id}/file`} download>
          {t("Download everything about {{name}}", { name: person.given })}
        </a>
        <Erasing person={person} />
      </MarginPart>
    </>
  );
}

function Twins({ person }: { person: Person }) {
  const { twins, merge } = useLifetime(person.id);
  const [asked, setAsked] = useState<string | null>(null);
  if (!twins.data || twins.data.length === 0) {
    return <Trouble error={twins.error} />;
  }
  return (
    <MarginPart title={t("Perhaps the same person")}>
      <ul>
        {twins.data.map(({ person: other, clashes }) => (
          <li key={other.id} className="mb-2">
            <strong>{`${other.family}, ${other.given}`}</strong>{" "}
            <span className="text-small text-soft">
              {[other.number, other.email, other.username].filter(Boolean).join(" · ")}
            </span>
            {clashes.length > 0 && (
              <p className="text-small">
                {t("They cannot be made one: {{why}}.", { why: clashes.join("; ") })}
              </p>
            )}
            {clashes.length === 0 && asked !== other.id && (
              <p>
                <TextButton onClick={() => setAsked(other.id)}>{t("They are the same")}</TextButton>
              </p>
            )}
            {asked === other.id && (
              <Note by="waiting">
                <p>
                  {t(
                    "Rosters, answers, marks and results of {{other}} ({{username}}) become those of this person. {{username}} cannot sign in any more. This cannot be undone.",
                    { other: `${other.given} ${other.family}`, username: other.username },
                  )}
                </p>
                <div className="mt-1 flex gap-2">
                  <Button look="strong" disabled={merge.isPending} onClick={() => merge.mutate(other.id)}>
                    {t("Make them one")}
                  </Button>
                  <Button look="quiet" onClick={() => setAsked(null)}>
                    {t("Keep both")}
                  </Button>
                </div>
              </Note>
            )}
          </li>
        ))}
      </ul>
      <Trouble error={merge.error} />
    </MarginPart>
  );
}

/** The name is typed again by whoever means it. */
function Erasing({ person }: { person: Person }) {
  const { erase } = useLifetime(person.id);
  const [open, setOpen] = useState(false);
  const [name, setName] = useState("");
  const full = `${person.given} ${person.family}`;
  if (!open) {
    return (
      <p className="mt-2">
        <TextButton onClick={() => setOpen(true)}>{t("Erase who this is")}</TextButton>
      </p>
    );
  }
  return (
    <Note by="waiting">
      <p>
        {t(
          "Name, number, e-mail, sign-in and letters of {{name}} are erased, also from the record of who did what. Answers and marks stay without a name. This cannot be undone.",
          { name: full },
        )}
      </p>
      <Field
        label={t("Type the name to erase it")}
        value={name}
        className="mt-1"
        onChange={(e) => setName(e.target.value)}
      />
      <div className="mt-2 flex gap-2">
        <Button
          look="strong"
          disabled={name.trim().toLowerCase() !== full.toLowerCase() || erase.isPending}
          onClick={() => erase.mutate(name)}
        >
          {t("Erase")}
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          {t("Keep")}
        </Button>
      </div>
      <Trouble error={erase.error} />
    </Note>
  );
}
