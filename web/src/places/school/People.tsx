import { useState } from "react";
import { useSearchParams } from "react-router";
import { Button } from "../../parts/Button";
import { Choose } from "../../parts/Choose";
import { Field } from "../../parts/Field";
import { foundBy } from "../../parts/foundBy";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Slips } from "../../parts/Slips";
import { Loaded, Trouble } from "../../parts/States";
import { VirtualRows } from "../../parts/VirtualRows";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { PersonForm, ROLES } from "./PersonForm";
import { PersonLifetime } from "./PersonLifetime";
import { PersonMargin } from "./PersonMargin";
import { type Person, usePeople, usePersonWork } from "./usePeople";

const NEW = "new";

/** The people of the school, for the administrator: found, added, changed, let in. */
export function People() {
  const people = usePeople();
  const work = usePersonWork();
  const [place, setPlace] = useSearchParams();
  const [words, setWords] = useState("");
  const [role, setRole] = useState("");
  const chosen = place.get("person");
  const choose = (person: string | null) => setPlace(person ? { person } : {});
  if (work.codes.data) {
    return <Slips slips={work.codes.data} onClose={() => work.codes.reset()} />;
  }
  return (
    <Loaded query={people}>
      {(all) => {
        const shown = all.filter((p) => fits(p, words, role));
        const without = shown.filter((p) => !p.hasPassword && !p.disabled && !p.guest);
        const person = all.find((p) => p.id === chosen);
        return (
          <Sheet
            margin={
              <>
                <MarginPart title={t("Find")}>
                  <Field
                    label={t("Part of a name, number or e-mail")}
                    value={words}
                    onChange={(e) => setWords(e.target.value)}
                  />
                  <Choose
                    className="mt-2"
                    label={t("Role")}
                    value={role}
                    options={[
                      ["", t("everybody")],
                      ["TEACHER", t("teachers")],
                      ["STUDENT", t("students")],
                      ["ADMIN", t("administrators")],
                      ["GUEST", t("guests of a sitting")],
                    ]}
                    onChange={setRole}
                  />
                  <p className="mt-2 text-small text-soft" aria-live="polite">
                    {t("{{n}} of {{all}} people", { n: shown.length, all: all.length })}
                  </p>
                  {without.length > 0 && (
                    <Button
                      className="mt-2"
                      onClick={() => work.codes.mutate(without.map((p) => p.id))}
                      disabled={work.codes.isPending}
                    >
                      {t("Print codes for {{count}} people without a password", { count: without.length })}
                    </Button>
                  )}
                  <InviteAll people={without} />
                  <Trouble error={work.codes.error} />
                </MarginPart>
                {chosen === NEW && (
                  <MarginPart title={t("A new person")}>
                    <PersonForm
                      person={null}
                      saving={work.add.isPending}
                      error={work.add.error}
                      onSave={(entry) => work.add.mutate(entry, { onSuccess: (made) => choose(made.id) })}
                      onStop={() => choose(null)}
                    />
                  </MarginPart>
                )}
                {person && (
                  <>
                    <PersonMargin
                      key={person.id}
                      person={person}
                      onCodes={(ids) => work.codes.mutate(ids)}
                      onClose={() => choose(null)}
                    />
                    <PersonLifetime key={`${person.id} kept`} person={person} />
                  </>
                )}
              </>
            }
          >
            <div className="flex items-center justify-between px-6 py-5">
              <h1 className="font-script text-title font-semibold">{t("People")}</h1>
              <Button onClick={() => choose(NEW)}>{t("Add a person")}</Button>
            </div>
            <PeopleTable people={shown} chosen={chosen} onChoose={choose} />
          </Sheet>
        );
      }}
    </Loaded>
  );
}

/** Invitations to all of these who can be mailed and have none on its way. */
function InviteAll({ people }: { people: Person[] }) {
  const { invite } = usePersonWork();
  const reached = people.filter((p) => p.email && p.letter?.state !== "WAITING");
  const failed = people.filter((p) => p.letter?.state === "FAILED").length;
  return (
    <>
      {reached.length > 0 && (
        <Button
          className="mt-2"
          onClick={() => invite.mutate(reached.map((p) => p.id))}
          disabled={invite.isPending}
        >
          {t("Mail invitations to {{count}} people without a password", { count: reached.length })}
        </Button>
      )}
      <p role="status" className="mt-1 text-small text-soft">
        {invite.data && t("{{count}} invitations are on their way.", { count: invite.data.asked })}
      </p>
      {failed > 0 && (
        <p className="text-small text-waiting">
          {t("{{count}} invitations could not be sent. Open the person to see why.", { count: failed })}
        </p>
      )}
      <Trouble error={invite.error} />
    </>
  );
}

function fits(p: Person, words: string, role: string): boolean {
  return (
    (p.guest ? role === "GUEST" : role === "" || p.role === role) &&
    foundBy(words, [p.given, p.family, p.number, p.email, p.username])
  );
}

function noPassword(p: Person): string {
  if (p.hasPassword) {
    return "";
  }
  return p.letter?.state === "SENT"
    ? t("· invited {{when}}", { when: moment(p.letter.at) })
    : p.letter?.state === "FAILED"
      ? t("· invitation not sent")
      : t("· no password yet");
}

function PeopleTable({
  people,
  chosen,
  onChoose,
}: {
  people: Person[];
  chosen: string | null;
  onChoose: (person: string) => void;
}) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-y border-rule text-left text-small text-soft">
            {[t("Name"), t("Number"), t("E-mail"), t("Role"), t("Signs in as")].map((head, i) => (
              <th key={head} scope="col" className={`${i === 0 ? "px-6" : "pr-3"} py-2 font-normal`}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <VirtualRows rows={people} height={35} columns={5}>
          {(p) => (
            <tr key={p.id} className={`border-b border-rule ${p.id === chosen ? "bg-by-rule-wash" : ""}`}>
              <td className="px-6 py-1.5 font-semibold">
                <button type="button" className="text-left hover:underline" onClick={() => onChoose(p.id)}>
                  {`${p.family}, ${p.given}`}
                </button>
              </td>
              <td className="pr-3">{p.number ?? "–"}</td>
              <td className="pr-3">{p.email ?? "–"}</td>
              <td className="pr-3">{t(ROLES[p.role])}</td>
              <td className="pr-3">
                {p.username}{" "}
                <span className="text-small text-waiting">
                  {p.disabled ? t("· disabled") : noPassword(p)}
                </span>
              </td>
            </tr>
          )}
        </VirtualRows>
      </table>
    </div>
  );
}
