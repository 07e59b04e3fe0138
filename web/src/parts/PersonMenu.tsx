import { useQueryClient } from "@tanstack/react-query";
import { DropdownMenu } from "radix-ui";
import { NavLink } from "react-router";
import { api, ok, type Schemas } from "../api/client";
import { t } from "../text";
import { SHOW_SHORTCUTS } from "./Keys";

const LINE = "block cursor-pointer px-4 py-1 data-[highlighted]:bg-by-rule-wash";

/** Who is signed in, and what is theirs beside their places. */
export function PersonMenu({ session }: { session: Schemas["Session"] }) {
  const client = useQueryClient();
  const leave = async () => {
    await ok(api.DELETE("/api/session"));
    client.clear();
    location.assign("/");
  };
  const initials = session.name
    .split(" ")
    .map((n) => n[0])
    .join("");
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        aria-label={`${initials}, ${session.name}`}
        className="size-7 shrink-0 rounded-full border border-ink text-[0.7rem] font-semibold"
      >
        {initials}
      </DropdownMenu.Trigger>
      <DropdownMenu.Content align="end" className="z-30 border border-ink bg-sheet py-2">
        <DropdownMenu.Label className="px-4 py-1">
          {session.name}
          <span className="block text-small text-soft">{session.school}</span>
        </DropdownMenu.Label>
        {session.way === null && (
          <DropdownMenu.Item asChild className={LINE}>
            <NavLink to="/account">{t("Your account")}</NavLink>
          </DropdownMenu.Item>
        )}
        <DropdownMenu.Item
          onSelect={() => setTimeout(() => document.dispatchEvent(new Event(SHOW_SHORTCUTS)))}
          className={LINE}
        >
          {t("Keyboard shortcuts")}
        </DropdownMenu.Item>
        <DropdownMenu.Item onSelect={() => void leave()} className={LINE}>
          {t("Sign out")}
        </DropdownMenu.Item>
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
}
