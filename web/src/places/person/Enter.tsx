import { useMutation, useQuery } from "@tanstack/react-query";
import type { FormEvent } from "react";
import { api, ok } from "../../api/client";
import { Button } from "../../parts/Button";
import { useNewPassword } from "../../parts/NewPassword";
import { Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";

/** The word of a link: it stands behind the #, so that it is in no log. */
export const wordOf = () => location.hash.slice(1);

/** Whoever comes through a link chooses a password and is signed in. */
export function Enter() {
  const word = wordOf();
  const invited = useQuery({
    queryKey: ["way-in", word],
    queryFn: () => ok(api.POST("/api/way-in/look", { body: { word } })),
    retry: false,
  });
  const secret = useNewPassword();
  const choose = useMutation({
    mutationFn: () => ok(api.POST("/api/way-in", { body: { word, password: secret.password } })),
    onSuccess: () => location.assign("/"),
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    secret.ready && choose.mutate();
  };
  return (
    <main id="page" className="mx-auto max-w-md px-6 py-12">
      <h1 className="font-script text-[2rem] font-semibold">Scholion</h1>
      <Loaded query={invited}>
        {(who) => (
          <form onSubmit={submit} className="mt-4 grid gap-4">
            <p>
              {t("Welcome to {{school}}, {{name}}. Choose a password of your own.", {
                school: who.school,
                name: who.name,
              })}
            </p>
            <p>
              {t("From now on you sign in as")} <strong>{who.username}</strong>
            </p>
            <input type="hidden" autoComplete="username" value={who.username} readOnly />
            {secret.fields}
            <Trouble error={choose.error} />
            <div>
              <Button look="strong" type="submit" disabled={!secret.ready || choose.isPending}>
                {t("Save password and sign in")}
              </Button>
            </div>
          </form>
        )}
      </Loaded>
      {invited.error && (
        <p className="mt-4">
          <a className="underline" href="/">
            {t("Go to the sign-in page")}
          </a>
        </p>
      )}
    </main>
  );
}
