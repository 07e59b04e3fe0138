import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, ok, type Schemas } from "../../api/client";
import { Empty, Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";
import { SignInForm } from "./SignInForm";

/** Name and password; in the demo also the list of the made-up people, one click each. */
export function SignIn({ session }: { session: Schemas["Session"] }) {
  const client = useQueryClient();
  const entered = (who: Schemas["Session"]) => client.setQueryData(["session"], who);
  return (
    <main id="page" className="mx-auto grid max-w-5xl gap-x-16 gap-y-8 px-6 py-12 lg:grid-cols-[20rem_1fr]">
      <div>
        <h1 className="font-script text-[2rem] font-semibold">Scholion</h1>
        <p className="mt-1 mb-8 text-soft">
          {t("Marks that are right, explained, and returned while they still help.")}
        </p>
        {session.hasSchool ? (
          <SignInForm onEnter={entered} />
        ) : (
          <Empty title={t("There is no school here yet.")}>
            {t(
              "The first start printed a link on its terminal: open it to begin the school. If it is lost, bin/person begin prints a new one.",
            )}
          </Empty>
        )}
        <p className="mt-10 text-small text-soft">
          <a className="underline" href="/notice.txt">
            {t("What Scholion is made of, and under which licences")}
          </a>
        </p>
      </div>
      {session.demo && <DemoPeople onEnter={entered} />}
    </main>
  );
}

function DemoPeople({ onEnter }: { onEnter: (who: Schemas["Session"]) => void }) {
  const people = useQuery({ queryKey: ["demo"], queryFn: () => ok(api.GET("/api/demo/people")) });
  const enter = useMutation({
    mutationFn: (person: string) => ok(api.POST("/api/demo/session", { body: { person } })),
    onSuccess: onEnter,
  });
  return (
    <section aria-label={t("People of the demo")} className="border-l-2 border-margin-line pl-6">
      <p className="mb-4 text-soft">
        {t("This is a made-up school. Click a name to sign in as that person.")}{" "}
        <a className="underline" href="/mail">
          {t("Letters that this school has mailed")}
        </a>
      </p>
      <Loaded query={people}>
        {(all) =>
          (["TEACHER", "ADMIN", "STUDENT"] as const).map((role) => (
            <div key={role} className="mb-5">
              <h2 className="mb-1 text-small font-semibold text-soft">
                {t({ TEACHER: "Teachers", ADMIN: "Administrator", STUDENT: "Students" }[role])}
              </h2>
              <ul className={role === "STUDENT" ? "columns-2 gap-6 sm:columns-3" : ""}>
                {all
                  .filter((p) => p.role === role)
                  .map((p) => (
                    <li key={p.id} className="break-inside-avoid">
                      <button
                        type="button"
                        className="w-full rounded-corner px-1 py-0.5 text-left hover:bg-by-rule-wash"
                        onClick={() => enter.mutate(p.id)}
                      >
                        <span className={role === "STUDENT" ? "" : "font-semibold"}>{p.name}</span>{" "}
                        <span className="text-small text-soft">{p.about.replaceAll("Section ", "")}</span>
                      </button>
                    </li>
                  ))}
              </ul>
            </div>
          ))
        }
      </Loaded>
      <Trouble error={enter.error} />
    </section>
  );
}
