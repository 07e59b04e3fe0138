/** The short link that leads to a sitting. */
export const wayLink = (way: string): string => `${location.origin}/s/${way}`;

/** The same for one student, with what their slip says: behind the #, where no log keeps it. */
export const slipLink = (way: string, who: string, code: string): string =>
  `${wayLink(way)}#${encodeURIComponent(who)},${code}`;

/** A short word as it is read and typed: in two groups. */
export const wayInGroups = (way: string): string => `${way.slice(0, 4)}-${way.slice(4)}`;
