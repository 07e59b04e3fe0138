import { useQuery } from "@tanstack/react-query";
import { lazy, type ReactNode, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { api, ok, type Schemas } from "./api/client";
import { Frame } from "./parts/Frame";
import { NotHere, NotLoaded } from "./parts/NotHere";
import { Loaded } from "./parts/States";
import { Course } from "./places/courses/Course";
import { Courses } from "./places/courses/Courses";
import { Desk } from "./places/desk/Desk";
import { Gradebook } from "./places/gradebook/Gradebook";
import { GradebookHome } from "./places/gradebook/GradebookHome";
import { Account } from "./places/person/Account";
import { People } from "./places/person/People";
import { School } from "./places/person/School";
import { SignIn } from "./places/person/SignIn";
import { SignInAgain } from "./places/person/SignInAgain";
import { Result } from "./places/student/Result";
import { Results } from "./places/student/Results";
import { Sitting } from "./places/student/Sitting";
import { ToDo } from "./places/student/ToDo";
import { Assessment } from "./stops/Assessment";
import { BringIn } from "./stops/collect/BringIn";
import { Collect } from "./stops/collect/Collect";
import { Examine } from "./stops/examine/Examine";
import { HandBack } from "./stops/handback/HandBack";
import { Queries } from "./stops/handback/Queries";
import { Read } from "./stops/read/Read";
import { Settle } from "./stops/settle/Settle";
import { setZone } from "./text/zone";

// What only some pages need comes when it is needed, so that the first page is there at once.
const Key = lazy(() => import("./stops/key/Key").then((m) => ({ default: m.Key })));
const Bank = lazy(() => import("./places/bank/Bank").then((m) => ({ default: m.Bank })));
const Standards = lazy(() => import("./places/standards/Standards").then((m) => ({ default: m.Standards })));
const CrosswalkPage = lazy(() =>
  import("./places/standards/CrosswalkPage").then((m) => ({ default: m.CrosswalkPage })),
);
const later = (page: ReactNode) => <Suspense fallback={<p className="p-6 text-soft">…</p>}>{page}</Suspense>;

const STAFF = [
  { path: "desk", element: <Desk /> },
  { path: "courses", element: <Courses /> },
  { path: "courses/:course", element: <Course /> },
  { path: "standards", element: later(<Standards />) },
  { path: "standards/:framework", element: later(<Standards />) },
  { path: "standards/:framework/from/:older", element: later(<CrosswalkPage />) },
  { path: "gradebook", element: <GradebookHome /> },
  { path: "gradebook/:course", element: <Gradebook /> },
  { path: "bank", element: later(<Bank />) },
  { path: "queries", element: <Queries /> },
  {
    path: "a/:assessment",
    element: <Assessment />,
    children: [
      { path: "key", element: later(<Key />) },
      { path: "collect", element: <Collect /> },
      { path: "bring-in", element: <BringIn /> },
      { path: "settle", element: <Settle /> },
      { path: "read", element: <Read /> },
      { path: "examine", element: <Examine /> },
      { path: "hand-back", element: <HandBack /> },
      { index: true, element: <Navigate to="key" replace /> },
      { path: "*", element: <NotHere /> },
    ],
  },
];
const STUDENT = [
  { path: "todo", element: <ToDo /> },
  { path: "results", element: <Results /> },
  { path: "results/:result", element: <Result /> },
];
const ADMIN = [
  { path: "people", element: <People /> },
  { path: "standards", element: later(<Standards />) },
  { path: "standards/:framework", element: later(<Standards />) },
];

function routes(session: Schemas["Session"]) {
  const [home, children] =
    session.role === "STUDENT"
      ? ["/todo", STUDENT]
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
        { path: "account", element: <Account session={session} /> },
        ...(session.role === "ADMIN" ? [{ path: "school", element: <School session={session} /> }] : []),
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
        if (!who.id) {
          return <SignIn session={who} />;
        }
        router ??= routes(who);
        return (
          <>
            <RouterProvider router={router} />
            <SignInAgain session={who} />
          </>
        );
      }}
    </Loaded>
  );
}
