import { describe, expect, it } from "vitest";
import { named, recordingType } from "./recording";

describe("recording in the browser", () => {
  it("takes the kind that most browsers play, of those that can be made", () => {
    expect(recordingType(() => true)).toBe("audio/mp4;codecs=mp4a.40.2");
    expect(recordingType((type) => type.includes("webm"))).toBe("audio/webm;codecs=opus");
    expect(recordingType(() => false)).toBeUndefined();
  });

  it("names the file by its kind", () => {
    expect(named("audio/mp4;codecs=mp4a.40.2")).toBe("recording.m4a");
    expect(named("audio/ogg; codecs=opus")).toBe("recording.ogg");
    expect(named("")).toBe("recording.webm");
  });
});
