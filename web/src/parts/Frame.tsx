import { lazy, Suspense } from "react";
import { NavLink, Outlet } from "react-router";
import type { Schemas } from "../api/client";
import { t } from "../text";
import { zone } from "../text/zone";
import { Connection } from "./Connection";
import { KeysDialog } from "./Keys";
import { SchoolSign } from "./SchoolSign";

// A page is there before its menu: what is only opened by a click comes after it.
const PersonMenu = lazy(() => import("./PersonMenu").then((m) => ({ default: m.PersonMenu })));
const Finder = lazy(() => import("./Finder").then((m) => ({ default: m.Finder })));

const STAFF: [string, string][] = [
  ["Desk", "/desk"],
  ["Courses", "/courses"],
  ["Bank", "/bank"],
  ["Standards", "/standards"],
  ["Gradebook", "/gradebook"],
];
const STUDENT: [string, string][] = [
  ["To do", "/todo"],
  ["Results", "/results"],
  ["What I can do", "/can-do"],
];
const ADMIN: [string, string][] = [
  ["People", "/people"],
  ["Courses", "/courses"],
  ["School", "/school"],
  ["Who did what", "/record"],
  ["Standards", "/standards"],
];

/** The band on top, for every signed-in person. */
export function Frame({ session }: { session: Schemas["Session"] }) {
  const places =
    session.role === "STUDENT"
      ? STUDENT.filter(([, to]) => session.way === null || to === "/todo")
      : session.role === "ADMIN"
        ? ADMIN
        : STAFF;
  return (
    <div className="flex min-h-screen flex-col">
      {/* Above the band, not over it: what it covered could not be hit. */}
      <a href="#page" className="sr-only focus:not-sr-only focus:block focus:bg-sheet focus:p-2">
        {t("Skip to the page")}
      </a>
      <header className="no-print border-b border-rule">
        <div className="flex min-h-12 flex-wrap items-center gap-x-7 gap-y-1 px-4 py-1 lg:px-6">
          <NavLink to="/" className="font-script text-[1.3rem] font-semibold">
            Scholion
          </NavLink>
          <SchoolSign />
          <nav aria-label={t("Main places")} className="flex flex-wrap gap-x-6">
            {places.map(([name, to]) => (
              <NavLink
                key={to}
                to={to}
                className={({ isActive }) =>
                  `border-b-2 py-1.5 ${isActive || (to === "/courses" && location.pathname.startsWith("/a/")) ? "border-ink font-semibold" : "border-transparent text-soft"}`
                }
              >
                {t(name)}
              </NavLink>
            ))}
          </nav>
          <div className="ml-auto flex flex-1 items-center justify-end gap-4">
            <Suspense fallback={<span className="size-7 shrink-0 rounded-full border border-rule" />}>
              {session.role === "TEACHER" && <Finder />}
              <PersonMenu session={session} />
            </Suspense>
          </div>
        </div>
      </header>
      <Connection />
      <Outlet />
      <footer className="no-print border-t border-rule px-4 py-1.5 text-small text-soft lg:px-6">
        {t("All times are in the school’s time zone, {{zone}}.", { zone: zone() })}
      </footer>
      <KeysDialog />
    </div>
  );
}
