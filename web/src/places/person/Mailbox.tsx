import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, ok, type Schemas } from "../../api/client";
import { PageWatch } from "../../parts/PageWatch";
import { Empty, Loaded } from "../../parts/States";
import { t } from "../../text";
import { moment } from "../../text/figures";

type Mail = Schemas["MailSeen"];
const LOOKED_AGAIN = 3_000;

/** What the made-up school has mailed: its people have no mailboxes of their own. */
export function Mailbox() {
  const mail = useQuery({
    queryKey: ["mail"],
    queryFn: () => ok(api.GET("/api/demo/mail")),
    refetchInterval: LOOKED_AGAIN,
  });
  return (
    <main id="page" className="mx-auto max-w-3xl px-6 py-10">
      <p className="text-small">
        <a className="underline" href="/">
          Scholion
        </a>
      </p>
      <h1 className="mt-1 font-script text-title font-semibold">{t("Letters of the demo")}</h1>
      <p className="mb-6 text-soft">
        {t(
          "This school is made up, so its letters are delivered to nobody. They are kept here until Scholion is stopped.",
        )}
      </p>
      <Loaded query={mail}>
        {(all) =>
          all.length === 0 ? (
            <Empty title={t("No letters yet.")}>
              {t("Sign in as the administrator and invite somebody by mail.")}
            </Empty>
          ) : (
            <ul>
              {all.map((m) => (
                <Letter key={m.at + m.to + m.subject} mail={m} />
              ))}
            </ul>
          )
        }
      </Loaded>
      <PageWatch />
    </main>
  );
}

function Letter({ mail }: { mail: Mail }) {
  const [open, setOpen] = useState(false);
  return (
    <li className="border-b border-rule py-2">
      <button
        type="button"
        aria-expanded={open}
        className="flex w-full flex-wrap items-baseline gap-x-4 text-left"
        onClick={() => setOpen(!open)}
      >
        <strong>{mail.subject}</strong>
        <span className="text-soft">{mail.to}</span>
        <span className="ml-auto text-small text-soft">{moment(mail.at)}</span>
      </button>
      {open && (
        <div className="mt-2 border-l-3 border-rule pl-4">
          <p className="mb-2 text-small text-soft">{t("From {{sender}}", { sender: mail.from })}</p>
          <p className="font-script wrap-anywhere whitespace-pre-wrap">{withLinks(mail.text)}</p>
        </div>
      )}
    </li>
  );
}

/** A letter's own addresses lead where they say. */
function withLinks(text: string) {
  return text.split(/(https?:\/\/\S+)/).map((part, i) =>
    /^https?:\/\//.test(part) ? (
      <a key={i} className="underline" href={part}>
        {part}
      </a>
    ) : (
      part
    ),
  );
}
