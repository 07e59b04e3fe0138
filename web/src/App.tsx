import { useQuery } from "@tanstack/react-query";
import { type ComponentType, lazy, type ReactNode, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { api, ok, type Schemas } from "./api/client";
import { Frame } from "./parts/Frame";
import { NotHere, NotLoaded } from "./parts/NotHere";
import { PageWatch } from "./parts/PageWatch";
import { Loaded } from "./parts/States";
import { Account } from "./places/person/Account";
import { Begin } from "./places/person/Begin";
import { Enter } from "./places/person/Enter";
import { SignIn } from "./places/person/SignIn";
import { SignInAgain } from "./places/person/SignInAgain";
import { CanDo } from "./places/student/CanDo";
import { Result } from "./places/student/Result";
import { Results } from "./places/student/Results";
import { Sitting } from "./places/student/Sitting";
import { ToDo } from "./places/student/ToDo";
import { BeforeSitting } from "./places/student/toDo/BeforeSitting";
import { t } from "./text";
import { setZone } from "./text/zone";

/** A page of those who teach or administer: students never fetch it. */
const staff = (name: keyof typeof import("./staff")) =>
  lazy(() => import("./staff").then((m) => ({ default: m[name] as ComponentType })));
const Desk = staff("Desk");
const Courses = staff("Courses");
const Course = staff("Course");
const Roster = staff("Roster");
const RosterIn = staff("RosterIn");
const GradebookHome = staff("GradebookHome");
const Gradebook = staff("Gradebook");
const Queries = staff("Queries");
const Assessment = staff("Assessment");
const Collect = staff("Collect");
const AsStudent = staff("AsStudent");
const GiveOutPage = staff("GiveOutPage");
const SittingPage = staff("SittingPage");
const BringIn = staff("BringIn");
const TypeIn = staff("TypeIn");
const Settle = staff("Settle");
const Read = staff("Read");
const Examine = staff("Examine");
const Students = staff("Students");
const Sections = staff("Sections");
const Reports = staff("Reports");
const Attainment = staff("Attainment");
const HandBack = staff("HandBack");
const People = staff("People");
const School = staff("School");
const SchoolRecord = staff("SchoolRecord");

// What only some pages need comes when it is needed, so that the first page is there at once.
const Key = lazy(() => import("./stops/key/Key").then((m) => ({ default: m.Key })));
const Bank = lazy(() => import("./places/bank/Bank").then((m) => ({ default: m.Bank })));
const ComeIn = lazy(() => import("./places/person/ComeIn").then((m) => ({ default: m.ComeIn })));
const Receipt = lazy(() => import("./places/receipt/Receipt").then((m) => ({ default: m.Receipt })));
const Mailbox = lazy(() => import("./places/person/Mailbox").then((m) => ({ default: m.Mailbox })));
const StandardsIn = lazy(() =>
  import("./places/standards/StandardsIn").then((m) => ({ default: m.StandardsIn })),
);
const Standards = lazy(() => import("./places/standards/Standards").then((m) => ({ default: m.Standards })));
const CrosswalkPage = lazy(() =>
  import("./places/standards/CrosswalkPage").then((m) => ({ default: m.CrosswalkPage })),
);
const later = (page: ReactNode) => (
  <Suspense
    fallback={
      <main id="page" className="p-6 text-soft">
        <p role="status">{t("Loading…")}</p>
      </main>
    }
  >
    {page}
  </Suspense>
);

const STAFF = [
  { path: "desk", element: later(<Desk />) },
  { path: "courses", element: later(<Courses />) },
  { path: "courses/:course", element: later(<Course />) },
  { path: "courses/:course/roster", element: later(<Roster />) },
  { path: "courses/:course/roster-in", element: later(<RosterIn />) },
  { path: "standards", element: later(<Standards />) },
  { path: "standards/in", element: later(<StandardsIn />) },
  { path: "standards/of/:course", element: later(<Attainment />) },
  { path: "standards/:framework", element: later(<Standards />) },
  { path: "standards/:framework/from/:older", element: later(<CrosswalkPage />) },
  { path: "gradebook", element: later(<GradebookHome />) },
  { path: "gradebook/:course", element: later(<Gradebook />) },
  { path: "bank", element: later(<Bank />) },
  { path: "queries", element: later(<Queries />) },
  { path: "receipt", element: later(<Receipt student={false} />) },
  {
    path: "a/:assessment",
    element: later(<Assessment />),
    children: [
      { path: "key", element: later(<Key />) },
      { path: "collect", element: later(<Collect />) },
      { path: "as-student", element: later(<AsStudent />) },
      { path: "give-out", element: later(<GiveOutPage />) },
      { path: "sittings/:sitting", element: later(<SittingPage />) },
      { path: "bring-in", element: later(<BringIn />) },
      { path: "type-in", element: later(<TypeIn />) },
      { path: "settle", element: later(<Settle />) },
      { path: "read", element: later(<Read />) },
      { path: "examine", element: later(<Examine />) },
      { path: "examine/students", element: later(<Students />) },
      { path: "examine/sections", element: later(<Sections />) },
      { path: "examine/reports", element: later(<Reports />) },
      { path: "hand-back", element: later(<HandBack />) },
      { index: true, element: <Navigate to="key" replace /> },
      { path: "*", element: <NotHere /> },
    ],
  },
];
const STUDENT = [
  { path: "todo", element: <ToDo /> },
  { path: "todo/:sitting", element: <BeforeSitting /> },
  { path: "results", element: <Results /> },
  { path: "can-do", element: <CanDo /> },
  { path: "results/:result", element: <Result /> },
  { path: "receipt", element: later(<Receipt student />) },
];
const ADMIN = [
  { path: "people", element: later(<People />) },
  { path: "courses", element: later(<Courses />) },
  { path: "courses/:course", element: later(<Course />) },
  { path: "courses/:course/roster", element: later(<Roster />) },
  { path: "courses/:course/roster-in", element: later(<RosterIn />) },
  { path: "school", element: later(<School />) },
  { path: "record", element: later(<SchoolRecord />) },
  { path: "standards", element: later(<Standards />) },
  { path: "standards/in", element: later(<StandardsIn />) },
  { path: "standards/:framework", element: later(<Standards />) },
];

function routes(session: Schemas["Session"]) {
  const [home, children] =
    session.role === "STUDENT"
      ? [
          "/todo",
          session.way === null
            ? STUDENT
            : STUDENT.filter((page) => !page.path.startsWith("results") && page.path !== "can-do"),
        ]
      : session.role === "ADMIN"
        ? ["/people", ADMIN]
        : ["/desk", STAFF];
  return createBrowserRouter([
    // A sitting fills the screen: nothing else should draw the eye.
    ...(session.role === "STUDENT"
      ? [{ path: "/sit/:attempt", element: <Sitting />, errorElement: <NotLoaded /> }]
      : []),
    {
      path: "/",
      element: <Frame session={session} />,
      errorElement: <NotLoaded />,
      children: [
        { index: true, element: <Navigate to={home} replace /> },
        ...children,
        ...(session.way === null ? [{ path: "account", element: <Account session={session} /> }] : []),
        { path: "*", element: <NotHere /> },
      ],
    },
  ]);
}

let router: ReturnType<typeof createBrowserRouter> | undefined;

export function App() {
  const session = useQuery({
    queryKey: ["session"],
    queryFn: () => ok(api.GET("/api/session")),
    staleTime: Number.POSITIVE_INFINITY,
  });
  return (
    <Loaded query={session}>
      {(who) => {
        setZone(who.zone);
        // A link lets in whom it names, whoever is signed in here.
        if (location.pathname === "/enter") {
          return <Enter />;
        }
        if (location.pathname.startsWith("/s/")) {
          return later(<ComeIn session={who} />);
        }
        if (location.pathname === "/begin" && !who.hasSchool) {
          return <Begin />;
        }
        if (location.pathname === "/mail" && who.demo) {
          return later(<Mailbox />);
        }
        if (!who.id) {
          return <SignIn session={who} />;
        }
        router ??= routes(who);
        return (
          <>
            <RouterProvider router={router} />
            <SignInAgain session={who} />
            <PageWatch />
          </>
        );
      }}
    </Loaded>
  );
}
