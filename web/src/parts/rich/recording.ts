/** What most browsers play comes first. */
const TYPES: [string, string][] = [
  ["audio/mp4;codecs=mp4a.40.2", "m4a"],
  ["audio/webm;codecs=opus", "webm"],
  ["audio/ogg;codecs=opus", "ogg"],
];

/** The first kind of recording that a browser can make; none leaves it to the browser. */
export function recordingType(can: (type: string) => boolean): string | undefined {
  return TYPES.find(([type]) => can(type))?.[0];
}

/** The name of a recorded file, by its kind. */
export function named(type: string): string {
  const kind = type.split(";")[0];
  return `recording.${TYPES.find(([known]) => known.startsWith(kind || "?"))?.[1] ?? "webm"}`;
}
