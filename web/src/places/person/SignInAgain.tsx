import { useQueryClient } from "@tanstack/react-query";
import { Dialog } from "radix-ui";
import type { Schemas } from "../../api/client";
import { connection, useConnection } from "../../api/connection";
import { TextButton } from "../../parts/Button";
import { t } from "../../text";
import { SignInForm } from "./SignInForm";
import { SlipForm } from "./SlipForm";

/** Over whatever page it is: whose session has ended signs in again and goes on exactly there. */
export function SignInAgain({ session }: { session: Schemas["Session"] }) {
  const { signedOut } = useConnection();
  return (
    <Dialog.Root open={signedOut}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          className="fixed inset-x-4 top-16 z-50 mx-auto max-w-md border border-ink bg-sheet p-6"
          onEscapeKeyDown={(e) => e.preventDefault()}
        >
          <Dialog.Title className="font-script text-title font-semibold">{t("Sign in again")}</Dialog.Title>
          <Dialog.Description className="mt-1 mb-4 text-soft">
            {t("You have been signed out. The page is as you left it, with what you typed.")}
          </Dialog.Description>
          <Again session={session} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function Again({ session }: { session: Schemas["Session"] }) {
  const client = useQueryClient();
  const enter = (who: Schemas["Session"]) => {
    if (who.id !== session.id) {
      // The page that is open is another person's.
      location.assign("/");
      return;
    }
    connection.signedInAgain();
    window.dispatchEvent(new Event("online"));
    void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== "session" });
  };
  const leave = <TextButton onClick={() => location.assign("/")}>{t("Leave this page")}</TextButton>;
  return (
    <>
      <p className="mb-4">{t("This page is open for {{name}}.", { name: session.name })}</p>
      {session.way ? (
        <SlipForm way={session.way} onEnter={enter}>
          {leave}
        </SlipForm>
      ) : (
        <SignInForm onEnter={enter}>{leave}</SignInForm>
      )}
    </>
  );
}
