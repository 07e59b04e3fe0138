import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api, ok } from "../../api/client";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import type { FrameworkFile } from "../../stops/key/definition";
import { t } from "../../text";

/** Frameworks as trees. */
export function Standards() {
  const { framework } = useParams();
  const list = useQuery({ queryKey: ["frameworks"], queryFn: () => ok(api.GET("/api/frameworks")) });
  return (
    <Loaded query={list}>
      {(all) => {
        const chosen = framework ?? all[0]?.id;
        return (
          <Sheet
            margin={
              <MarginPart title={t("Frameworks")}>
                <ul>
                  {all.map((f) => (
                    <li key={f.id}>
                      <Link
                        to={`/standards/${f.id}`}
                        className={`block border-l-3 py-1 pl-3 ${f.id === chosen ? "border-standard font-semibold" : "border-rule"}`}
                      >
                        {f.title} {f.version}{" "}
                        <span className="text-small font-normal text-soft">
                          {t("{{n}} standards", { n: f.standards })}
                        </span>
                      </Link>
                    </li>
                  ))}
                </ul>
              </MarginPart>
            }
          >
            {chosen ? (
              <Tree id={chosen} />
            ) : (
              <Empty title={t("No framework yet.")}>{t("An administrator brings one in.")}</Empty>
            )}
          </Sheet>
        );
      }}
    </Loaded>
  );
}

function Tree({ id }: { id: string }) {
  const query = useQuery({
    queryKey: ["framework", id],
    queryFn: () => ok(api.GET("/api/frameworks/{framework}", { params: { path: { framework: id } } })),
  });
  return (
    <Loaded query={query}>
      {(view) => {
        const { standards } = view.definition as FrameworkFile;
        const depth = (code: string): number => {
          const parent = standards.find((s) => s.code === code)?.parent;
          return parent ? depth(parent) + 1 : 0;
        };
        return (
          <>
            <h1 className="px-6 pt-5 pb-4 font-script text-title font-semibold">
              {view.title} {view.version}
            </h1>
            <ul className="border-t border-rule">
              {standards.map((s) => (
                <li
                  key={s.code}
                  className="flex gap-4 border-b border-rule px-6 py-1.5"
                  style={{ paddingInlineStart: `${24 + depth(s.code) * 28}px` }}
                >
                  <strong className="w-12 text-standard">{s.code}</strong>
                  <span className={`font-script ${s.parent ? "" : "font-semibold"}`}>{s.text}</span>
                </li>
              ))}
            </ul>
          </>
        );
      }}
    </Loaded>
  );
}
