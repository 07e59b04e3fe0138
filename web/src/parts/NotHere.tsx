import { Link, useRouteError } from "react-router";
import { t } from "../text";
import { TextButton } from "./Button";

/** A page that is not there: a mistyped address, or something that was removed. */
export function NotHere() {
  return (
    <Instead title={t("There is no page here.")}>
      {t("The address may be mistyped, or what it led to was removed.")}
    </Instead>
  );
}

/** A page, or a part of one, that could not be loaded. */
export function NotLoaded() {
  const error = useRouteError();
  // Each browser has its own words for it, and "import" or "module" is in all of them.
  const isMissingPart = /import|module|preload/i.test(String(error));
  return (
    <Instead title={t("This page could not be shown.")}>
      {isMissingPart
        ? t("A part of it could not be fetched. With a connection, loading it again helps.")
        : t("What was saved before is safe. Load the page again; if it stays, tell your administrator.")}
      <TextButton className="mt-3 block underline" onClick={() => location.reload()}>
        {t("Load it again")}
      </TextButton>
    </Instead>
  );
}

function Instead({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <main id="page" className="mx-auto w-full max-w-2xl px-6 py-12">
      <h1 className="font-script text-title font-semibold">{title}</h1>
      <div className="my-4 text-soft">{children}</div>
      <Link to="/" className="underline">
        {t("To the first page")}
      </Link>
    </main>
  );
}
