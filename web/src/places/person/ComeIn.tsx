import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, ok, Problem, type Schemas } from "../../api/client";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";
import { GuestForm } from "./GuestForm";
import { SlipForm } from "./SlipForm";

type Way = Schemas["WayTo"];

/** Where a short link leads: whoever is signed in goes on, others come in by a slip or sign in. */
export function ComeIn({ session }: { session: Schemas["Session"] }) {
  const way = plain(location.pathname.slice("/s/".length));
  const query = useQuery({
    queryKey: ["way", way],
    queryFn: () => ok(api.GET("/api/ways/{way}", { params: { path: { way } } })),
  });
  return (
    <main id="page" className="mx-auto max-w-md px-6 py-12">
      {query.error instanceof Problem && query.error.status === 404 ? (
        <Empty title={t("There is nothing under this link.")}>
          {t("Type it as it stands on your slip or on the board, or ask your teacher.")}
        </Empty>
      ) : (
        <Loaded query={query}>{(to) => <Door to={to} session={session} />}</Loaded>
      )}
    </main>
  );
}

/** A piece of an address as it is meant; as it stands where it is damaged. */
function plain(piece: string): string {
  try {
    return decodeURIComponent(piece);
  } catch {
    return piece;
  }
}

/** What a square code on a slip tells behind the #. */
function typedOf(hash: string): { who: string; code: string } {
  const [who = "", code = ""] = hash.slice(1).split(",");
  return { who: plain(who), code };
}

/** With what a guest comes back, told once, before they go on. */
function ComeBackWith({ came, own }: { came: Schemas["GuestIn"]; own: string }) {
  return (
    <section role="status">
      <p>{t("You are in, {{name}}.", { name: came.session?.name ?? "" })}</p>
      <p className="my-3">
        {t("Note this down. With it you come back here, on any device, also to see how it went:")}
      </p>
      <p className="font-script text-words">
        {t("Name")}: <strong>{came.who}</strong>
        <br />
        {t("Code")}: <strong className="tabular-nums tracking-wider">{came.code}</strong>
      </p>
      <p className="mt-6">
        <a className="inline-block rounded-corner bg-ink px-4 py-2 text-sheet" href={own}>
          {t("Go on")}
        </a>
      </p>
    </section>
  );
}

function Door({ to, session }: { to: Way; session: Schemas["Session"] }) {
  const own = `/todo/${to.sitting}`;
  const typed = typedOf(location.hash);
  const [came, setCame] = useState<Schemas["GuestIn"] | null>(null);
  // On a device that several use, whoever comes with a slip is asked, whoever else is signed in.
  const goesOn = session.role === "STUDENT" && session.way === null && typed.who === "";
  useEffect(() => {
    if (goesOn) {
      location.replace(own);
    }
  }, [goesOn, own]);
  return (
    <>
      <p className="text-soft">{to.school}</p>
      <h1 className="font-script text-title font-semibold">{to.title}</h1>
      <p className="mt-1 mb-6 text-soft">
        {t("open {{from}} to {{to}}", { from: moment(to.opens), to: moment(to.closes) })}
      </p>
      {session.role === "STUDENT" && !came && (
        <p className="mb-6 border-l-4 border-waiting bg-waiting-wash px-3 py-2">
          {t("{{name}} is signed in here.", { name: session.name })}{" "}
          <a className="underline" href={own}>
            {t("That is me: go on")}
          </a>
        </p>
      )}
      {came?.session && <ComeBackWith came={came} own={own} />}
      {came && !came.session && (
        <p role="status" className="mb-6 border-l-4 border-by-rule bg-by-rule-wash px-3 py-2">
          {t(
            "A code is on its way to your address. It can take a minute. Type it here, or follow the link in the letter.",
          )}
        </p>
      )}
      {came?.session ? null : session.id !== null && session.role !== "STUDENT" ? (
        <p>{t("You are signed in as {{name}}. This page is for students.", { name: session.name })}</p>
      ) : (
        <>
          <SlipForm
            key={came?.who ?? ""}
            way={to.way}
            typed={came ? { who: came.who, code: "" } : typed}
            onEnter={() => location.assign(own)}
          />
          {to.guests.who !== "NOBODY" && !came && (
            <section className="mt-8 border-t border-rule pt-4">
              <h2 className="mb-3 font-script text-words font-semibold">{t("No slip, and no password?")}</h2>
              <GuestForm to={to} onIn={setCame} />
            </section>
          )}
          {session.id === null && (
            <p className="mt-6">
              {t("If you have a password:")}{" "}
              <a className="underline" href={own}>
                {t("sign in with it")}
              </a>
            </p>
          )}
        </>
      )}
    </>
  );
}
