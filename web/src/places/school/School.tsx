import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { Button, TextButton } from "../../parts/Button";
import { Count } from "../../parts/Field";
import { Loaded, Trouble } from "../../parts/States";
import { t } from "../../text";
import { time } from "../../text/figures";
import { SettingsForm } from "./SettingsForm";

const ENTRY = "grid max-w-2xl gap-4 border-t border-rule py-6";

/** What an administrator sets for everybody, and who cannot sign in at the moment. */
export function School() {
  const limits = useQuery({
    queryKey: ["school", "limits"],
    queryFn: () => ok(api.GET("/api/school/limits")),
  });
  const settings = useQuery({ queryKey: ["school"], queryFn: () => ok(api.GET("/api/school")) });
  return (
    <main id="page" className="mx-auto w-full max-w-3xl px-6 py-8">
      <h1 className="mb-6 font-script text-title font-semibold">{t("School")}</h1>
      <Loaded query={settings}>{(now) => <SettingsForm now={now} />}</Loaded>
      <Loaded query={limits}>{(now) => <Limits now={now} />}</Loaded>
      <SlowedDown />
    </main>
  );
}

function Limits({ now }: { now: Schemas["Limits"] }) {
  const client = useQueryClient();
  const [idle, setIdle] = useState<number | undefined>(now.idleMinutes);
  const [hours, setHours] = useState<number | undefined>(now.sessionHours);
  const save = useMutation({
    mutationFn: () =>
      ok(api.PUT("/api/school/limits", { body: { idleMinutes: idle ?? 0, sessionHours: hours ?? 0 } })),
    onSuccess: (saved) => client.setQueryData(["school", "limits"], saved),
  });
  const submit = (e: FormEvent) => {
    e.preventDefault();
    save.mutate();
  };
  const changed = idle !== now.idleMinutes || hours !== now.sessionHours;
  return (
    <form onSubmit={submit} className={ENTRY}>
      <h2 className="font-script text-words font-semibold">{t("How long people stay signed in")}</h2>
      <div className="grid gap-4 sm:grid-cols-2">
        <Count label={t("Minutes without doing anything (5 to 1440)")} value={idle} onChange={setIdle} />
        <Count label={t("Hours altogether (1 to 720)")} value={hours} onChange={setHours} />
      </div>
      <Trouble error={save.error} />
      <div className="flex items-center gap-4">
        <Button look="strong" type="submit" disabled={!changed || save.isPending}>
          {t("Save limits")}
        </Button>
        {!changed && save.isSuccess && <span role="status">{t("Saved. The limits hold now.")}</span>}
      </div>
    </form>
  );
}

function SlowedDown() {
  const client = useQueryClient();
  const slowed = useQuery({
    queryKey: ["school", "slowed-down"],
    queryFn: () => ok(api.GET("/api/school/slowed-down")),
    refetchInterval: 10_000,
  });
  const release = useMutation({
    mutationFn: (person: string) =>
      ok(api.DELETE("/api/school/slowed-down/{person}", { params: { path: { person } } })),
    onSettled: () => client.invalidateQueries({ queryKey: ["school", "slowed-down"] }),
  });
  return (
    <section className={ENTRY} aria-label={t("Wrong passwords")}>
      <h2 className="font-script text-words font-semibold">{t("Wrong passwords")}</h2>
      <p className="text-soft">
        {t("After 5 wrong passwords from one address, each next try there has to wait, up to a minute.")}
      </p>
      <Loaded query={slowed}>
        {(people) =>
          people.length === 0 ? (
            <p>{t("Nobody has to wait at the moment.")}</p>
          ) : (
            <ul>
              {people.map((p) => (
                <li
                  key={p.person + p.until}
                  className="flex flex-wrap items-baseline gap-x-4 border-b border-rule py-2"
                >
                  <strong>{p.name}</strong>
                  <span className="text-soft">{p.username}</span>
                  <span className="text-soft">
                    {t("{{count}} wrong passwords, waits until {{until}}", {
                      count: p.fails,
                      until: time(p.until),
                    })}
                  </span>
                  <TextButton
                    className="ml-auto"
                    disabled={release.isPending}
                    onClick={() => release.mutate(p.person)}
                  >
                    {t("Let {{name}} try again now", { name: p.name })}
                  </TextButton>
                </li>
              ))}
            </ul>
          )
        }
      </Loaded>
      <Trouble error={release.error} />
    </section>
  );
}
