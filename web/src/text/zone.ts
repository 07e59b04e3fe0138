/**
 * The school's zone, in which every time on every page is told and typed: a teacher who travels, or a device that is
 * set otherwise, sees the same times as everybody else.
 */
let own = Intl.DateTimeFormat().resolvedOptions().timeZone;

export function setZone(zone: string): void {
  if (zone) {
    own = zone;
  }
}

export const zone = (): string => own;

const PARTS = {
  year: "numeric",
  month: "2-digit",
  day: "2-digit",
  hour: "2-digit",
  minute: "2-digit",
} as const;

/** A moment as a field for a local time takes it: `2026-11-28T14:05`, in the school's zone. */
export function fieldTime(at: Date, timeZone = own): string {
  const parts = new Intl.DateTimeFormat("en-GB", { ...PARTS, hourCycle: "h23", timeZone }).formatToParts(at);
  const of = (type: string) => parts.find((p) => p.type === type)?.value ?? "";
  return `${of("year")}-${of("month")}-${of("day")}T${of("hour")}:${of("minute")}`;
}

/** The moment that such a field names in the school's zone. */
export function fromField(typed: string, timeZone = own): Date {
  const wanted = Date.parse(`${typed}:00Z`);
  // The offset at the moment itself: twice, so that it is right on the day when clocks change, too.
  let at = wanted;
  for (let i = 0; i < 2; i++) {
    at = wanted - (Date.parse(`${fieldTime(new Date(at), timeZone)}:00Z`) - at);
  }
  return new Date(at);
}

/** The day of a moment in the school's zone, to tell whether two are the same. */
export const dayOf = (at: Date): string => fieldTime(at).slice(0, 10);
