import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok } from "../../api/client";
import { Field } from "../../parts/Field";
import { MarginPart, Sheet } from "../../parts/Sheet";
import { Loaded } from "../../parts/States";
import { VirtualRows } from "../../parts/VirtualRows";
import { t } from "../../text";

const ROLES = { TEACHER: "teacher", STUDENT: "student", ADMIN: "administrator" };

/** The people of the school, for the administrator. */
export function People() {
  const people = useQuery({ queryKey: ["people"], queryFn: () => ok(api.GET("/api/people")) });
  const [words, setWords] = useState("");
  return (
    <Loaded query={people}>
      {(all) => {
        const shown = all.filter((p) =>
          `${p.given} ${p.family} ${p.number ?? ""} ${p.email ?? ""}`
            .toLowerCase()
            .includes(words.toLowerCase()),
        );
        return (
          <Sheet
            margin={
              <MarginPart title={t("Find")}>
                <Field
                  label={t("Part of a name, number or e-mail")}
                  value={words}
                  onChange={(e) => setWords(e.target.value)}
                />
                <p className="mt-2 text-small text-soft" aria-live="polite">
                  {t("{{n}} of {{all}} people", { n: shown.length, all: all.length })}
                </p>
              </MarginPart>
            }
          >
            <h1 className="px-6 py-5 font-script text-title font-semibold">{t("People")}</h1>
            <table className="w-full">
              <thead>
                <tr className="border-y border-rule text-left text-small text-soft">
                  <th scope="col" className="px-6 py-2 font-normal">
                    {t("Name")}
                  </th>
                  <th scope="col" className="font-normal">
                    {t("Number")}
                  </th>
                  <th scope="col" className="font-normal">
                    {t("E-mail")}
                  </th>
                  <th scope="col" className="font-normal">
                    {t("Role")}
                  </th>
                </tr>
              </thead>
              <VirtualRows rows={shown} height={35} columns={4}>
                {(p) => (
                  <tr key={p.id} className="border-b border-rule">
                    <td className="px-6 py-1.5 font-semibold">{`${p.family}, ${p.given}`}</td>
                    <td>{p.number ?? "–"}</td>
                    <td>{p.email ?? "–"}</td>
                    <td>{t(ROLES[p.role])}</td>
                  </tr>
                )}
              </VirtualRows>
            </table>
          </Sheet>
        );
      }}
    </Loaded>
  );
}
