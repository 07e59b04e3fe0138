import { useQuery } from "@tanstack/react-query";
import { api, ok } from "../api/client";

/** The school's own sign and colour, on its students' pages: white letters on a colour that is dark enough for them. */
export function SchoolSign() {
  const session = useQuery({
    queryKey: ["session"],
    queryFn: () => ok(api.GET("/api/session")),
    staleTime: Number.POSITIVE_INFINITY,
  });
  const who = session.data;
  if (who?.role !== "STUDENT" || (who.sign === "" && who.accent === "")) {
    return null;
  }
  const colour = who.accent || "#1b2430";
  return (
    <span
      title={who.school}
      className="inline-block min-w-7 rounded-corner px-1.5 py-0.5 text-center font-semibold"
      style={{ background: colour, color: "#ffffff" }}
    >
      {who.sign || " "}
    </span>
  );
}
