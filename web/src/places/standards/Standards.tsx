import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "react-router";
import { api, ok, type Schemas } from "../../api/client";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { AttainmentWay } from "./AttainmentWay";
import { CanDoLinks } from "./CanDoLinks";
import { FrameworkIn } from "./FrameworkIn";
import { RemoveFramework } from "./RemoveFramework";
import { Tree } from "./Tree";
import { WorkWith } from "./WorkWith";

/** Frameworks as trees that can be edited, their versions, and the way from one to the next. */
export function Standards() {
  const { framework } = useParams();
  const list = useQuery({ queryKey: ["frameworks"], queryFn: () => ok(api.GET("/api/frameworks")) });
  return (
    <Loaded query={list}>
      {(all) => {
        const chosen = all.find((f) => f.id === framework) ?? all[0];
        return (
          <Sheet
            margin={
              <>
                <MarginPart title={t("Frameworks")}>
                  <ul>
                    {all.map((f) => (
                      <li key={f.id}>
                        <Link
                          to={`/standards/${f.id}`}
                          className={`block border-l-3 py-1 pl-3 ${f.id === chosen?.id ? "border-standard font-semibold" : "border-rule"}`}
                        >
                          {f.title} {f.version}{" "}
                          <span className="text-small font-normal text-soft">
                            {t("{{count}} standards", { count: f.standards })}
                          </span>
                        </Link>
                      </li>
                    ))}
                  </ul>
                </MarginPart>
                {chosen && <Earlier chosen={chosen} all={all} />}
                {chosen && <WorkWith framework={chosen.id} />}
                <CanDoLinks />
                {chosen && <AttainmentWay framework={chosen.id} />}
                <FrameworkIn />
                <RemoveFramework chosen={chosen} />
              </>
            }
          >
            {chosen ? (
              <Tree key={chosen.id} id={chosen.id} />
            ) : (
              <Empty title={t("No framework yet.")}>
                {t("Bring one in from a table or a CASE file, or begin an empty one.")}
              </Empty>
            )}
          </Sheet>
        );
      }}
    </Loaded>
  );
}

/** The other frameworks that this one may have come from. */
function Earlier({ chosen, all }: { chosen: Schemas["FrameworkLine"]; all: Schemas["FrameworkLine"][] }) {
  const others = all.filter((f) => f.id !== chosen.id);
  if (others.length === 0) {
    return null;
  }
  return (
    <MarginPart title={t("Crosswalks to this version")}>
      <ul>
        {others.map((f) => (
          <li key={f.id}>
            <Link className="block py-0.5 underline" to={`/standards/${chosen.id}/from/${f.id}`}>
              {t("from {{title}} {{version}}", { title: f.title, version: f.version })}
            </Link>
          </li>
        ))}
      </ul>
    </MarginPart>
  );
}
