import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link, Navigate, Outlet, useLocation, useParams, useSearchParams } from "react-router";
import { api, ok, type Schemas } from "../api/client";
import { LineOfWork } from "../parts/LineOfWork";
import { Loaded } from "../parts/States";
import { t } from "../text";

/** Which assessment, and which of its sections; null means all of them. */
export function useWhere(): { assessment: string; section: string | null } {
  const { assessment = "" } = useParams();
  const [params] = useSearchParams();
  return { assessment, section: params.get("section") };
}

/** The query part for a section, where one is chosen. */
export function sectionQuery(section: string | null): { section?: string } {
  return section ? { section } : {};
}

export function useHeader(assessment: string, section: string | null) {
  return useQuery({
    queryKey: ["assessment", assessment, "header", section],
    // An item of the bank is edited by the same parts, in no assessment.
    enabled: assessment !== "",
    queryFn: () =>
      ok(
        api.GET("/api/assessments/{assessment}", {
          params: { path: { assessment }, query: sectionQuery(section) },
        }),
      ),
  });
}

/** The only stop of an assessment that is not one's own. */
const ONLY = { ALL: "", KEY: "/key", READING: "/read" };

/** An assessment: its header with the line, and the stop beneath. What changes elsewhere is fetched anew at once. */
export function Assessment() {
  const { assessment, section } = useWhere();
  const header = useHeader(assessment, section);
  useLive(assessment, header.data?.share === "ALL");
  const { pathname } = useLocation();
  return (
    <Loaded query={header}>
      {(h) => (
        <>
          {ONLY[h.share] && !pathname.endsWith(ONLY[h.share]) && (
            <Navigate to={`/a/${assessment}${ONLY[h.share]}`} replace />
          )}
          <section aria-label={t("The assessment")} className="border-b border-rule px-4 pt-4 pb-3 lg:px-6">
            <div className="mb-2 flex flex-wrap items-baseline gap-x-4">
              <h1 className="font-script text-title font-semibold">{h.title}</h1>
              {h.share === "KEY" && (
                <span className="text-soft">{t("A colleague’s key, shared with you to edit")}</span>
              )}
              {h.share === "READING" && (
                <span className="text-soft">
                  {t("You read its open answers, without names. Its teachers do the rest.")}
                </span>
              )}
              {h.share === "ALL" && (
                <>
                  <Link to={`/courses/${h.course}`} className="text-soft hover:underline">
                    {h.courseTitle}
                  </Link>
                  <SectionMenu header={h} section={section} />
                </>
              )}
            </div>
            {h.share === "ALL" && <LineOfWork id={assessment} line={h.line} />}
          </section>
          <Outlet />
        </>
      )}
    </Loaded>
  );
}

function SectionMenu({ header, section }: { header: Schemas["AssessmentHeader"]; section: string | null }) {
  const [params, setParams] = useSearchParams();
  const given = header.sections.filter((s) => s.given);
  if (given.length === 0) {
    return <span className="text-soft">{t("no section yet")}</span>;
  }
  const choose = (id: string) => {
    const next = new URLSearchParams(params);
    id ? next.set("section", id) : next.delete("section");
    setParams(next);
  };
  return (
    <select
      aria-label={t("Section")}
      value={section ?? ""}
      onChange={(e) => choose(e.target.value)}
      className="rounded-corner border border-rule bg-paper px-1 py-0.5 text-soft"
    >
      <option value="">{given.length > 1 ? t("all sections") : given[0]?.name}</option>
      {given.length > 1 &&
        given.map((s) => (
          <option key={s.id} value={s.id}>
            {s.name}
          </option>
        ))}
    </select>
  );
}

/** Listens for changes of this assessment and fetches again what is shown of it. */
function useLive(assessment: string, on: boolean) {
  const client = useQueryClient();
  useEffect(() => {
    if (!on) {
      return;
    }
    let source: EventSource | undefined;
    let soon: ReturnType<typeof setTimeout> | undefined;
    const refresh = () => {
      soon = undefined;
      void client.invalidateQueries({ queryKey: ["assessment", assessment] });
    };
    const close = () => {
      source?.close();
      source = undefined;
    };
    // A browser has few connections to one server, so that only a page that is looked at keeps one open.
    const listen = () => {
      if (document.hidden) {
        close();
        return;
      }
      if (!source) {
        source = new EventSource(`/api/assessments/${assessment}/live`);
        source.onmessage = (event) => {
          if (event.data === "changed") {
            // Many answers may arrive in one second; one fetch serves them all.
            soon ??= setTimeout(refresh, 300);
          }
        };
      }
    };
    listen();
    document.addEventListener("visibilitychange", listen);
    window.addEventListener("pagehide", close);
    window.addEventListener("pageshow", listen);
    return () => {
      clearTimeout(soon);
      close();
      document.removeEventListener("visibilitychange", listen);
      window.removeEventListener("pagehide", close);
      window.removeEventListener("pageshow", listen);
    };
  }, [assessment, client, on]);
}
