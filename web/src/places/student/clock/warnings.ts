/** So many minutes before the end are said aloud. */
const MINUTES = [10, 5, 1];

/** Seconds in which a warning is still of the moment, for a page that slept meanwhile. */
const FRESH = 30;

/** The warning that belongs to this moment, in minutes; none before the first and none long after one. */
export function warningAt(left: number): number | null {
  return MINUTES.find((m) => left <= m * 60 && left > m * 60 - FRESH) ?? null;
}

/** How far the server's clock is ahead of the device's, in milliseconds, from when it was heard. */
export function ahead(serverNow: string, heardAt: number): number {
  return Date.parse(serverNow) - heardAt;
}
