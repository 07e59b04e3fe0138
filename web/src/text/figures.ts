import { locale, t } from "./index";
import { dayOf, zone } from "./zone";

const PARTS: Record<string, string> = {
  "1/2": "½",
  "1/3": "⅓",
  "2/3": "⅔",
  "1/4": "¼",
  "3/4": "¾",
};
const DECIMAL_PARTS: Record<string, string> = { "5": "½", "25": "¼", "75": "¾" };

/** An exact number as people write it: 22.5 is 22½, 2/3 is ⅔, 1.2 is 1.2 or 1,2 as the locale has it. */
export function points(exact: string): string {
  const sign = exact.startsWith("-") ? "−" : "";
  const bare = exact.replace(/^-/, "");
  if (bare.includes("/")) {
    return sign + (mixed(bare) ?? bare);
  }
  const [whole = "0", decimals] = bare.split(".");
  const part = decimals === undefined ? "" : DECIMAL_PARTS[decimals];
  if (part !== undefined) {
    return sign + (whole === "0" && part ? "" : grouped(whole)) + part;
  }
  return sign + grouped(whole) + decimalMark() + decimals;
}

/** So many points, in words: 1 point, 2½ points. */
export function pointsInWords(exact: string): string {
  return ["1", "0.5", "0.25", "0.75"].includes(exact)
    ? t("{{n}} point", { n: points(exact) })
    : t("{{n}} points", { n: points(exact) });
}

function mixed(fraction: string): string | undefined {
  const [num = 0, den = 1] = fraction.split("/").map(Number);
  const part = PARTS[`${num % den}/${den}`];
  const whole = Math.floor(num / den);
  return part && (whole === 0 ? part : `${whole}${part}`);
}

function grouped(whole: string): string {
  return whole.length > 15 ? whole : new Intl.NumberFormat(locale).format(Number(whole));
}

function decimalMark(): string {
  return new Intl.NumberFormat(locale).formatToParts(1.5).find((p) => p.type === "decimal")?.value ?? ".";
}

/** A rounded percent, with the decimals that it came with. */
export function percent(exact: string | null): string {
  return exact === null ? "–" : `${exact.replace(".", decimalMark())}%`;
}

/** A statistic with so many decimals; a dash when it is undefined. */
export function figure(value: number | null | undefined, digits = 2): string {
  if (value === null || value === undefined) {
    return "–";
  }
  const format = new Intl.NumberFormat(locale, {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  });
  return format.format(value).replace("-", "−");
}

export function time(instant: string): string {
  return new Intl.DateTimeFormat(locale, {
    hour: "2-digit",
    minute: "2-digit",
    hour12: false,
    timeZone: zone(),
  }).format(new Date(instant));
}

export function day(instant: string): string {
  return new Intl.DateTimeFormat(locale, {
    weekday: "long",
    day: "numeric",
    month: "short",
    timeZone: zone(),
  }).format(new Date(instant));
}

/** The time today, otherwise the day with it. */
export function moment(instant: string, now = new Date()): string {
  const then = new Date(instant);
  return dayOf(then) === dayOf(now) ? time(instant) : `${day(instant)}, ${time(instant)}`;
}

/** How long ago, in words. */
export function ago(instant: string, now = Date.now()): string {
  const minutes = Math.round((now - Date.parse(instant)) / 60_000);
  if (minutes < 60) {
    return minutes < 2 ? t("a moment ago") : t("{{n}} min ago", { n: minutes });
  }
  const hours = Math.round(minutes / 60);
  if (hours < 24) {
    return t("{{count}} hours ago", { count: hours });
  }
  return hours < 48 ? t("yesterday") : t("{{count}} days ago", { count: Math.round(hours / 24) });
}

/** A stretch of time: 11:42, or 1:05:30 from an hour on. */
export function stretch(seconds: number): string {
  const s = Math.max(0, Math.floor(seconds));
  const two = (n: number) => String(n).padStart(2, "0");
  const minutes = Math.floor(s / 60);
  return minutes < 60
    ? `${minutes}:${two(s % 60)}`
    : `${Math.floor(minutes / 60)}:${two(minutes % 60)}:${two(s % 60)}`;
}

/** A share from 0 to 1 as a whole percentage; a dash when it is undefined. */
export function share(value: number | null): string {
  return value === null ? "–" : percent(String(Math.round(value * 100)));
}

/** Between which figures something lies. */
export function between(low: number | null, high: number | null): string {
  return t("between {{low}} and {{high}}", { low: figure(low), high: figure(high) });
}

/** The same of shares, as percentages. */
export function betweenShares(low: number, high: number): string {
  return t("between {{low}}% and {{high}}%", { low: Math.round(low * 100), high: Math.round(high * 100) });
}
