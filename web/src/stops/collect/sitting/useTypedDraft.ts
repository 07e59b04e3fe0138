import { useTyped } from "../../../parts/typed";
import { type Changes, changesOf, over, type SittingDraft } from "./draft";

/**
 * A sitting that is being typed: what differs from how it stands is kept on this device until it is sent or taken back,
 * and lies over what others change meanwhile.
 *
 * @param name under which it is kept
 * @param stands how it stands now
 */
export function useTypedDraft(name: string, stands: SittingDraft) {
  const [changes, setChanges] = useTyped<Changes | null>(name, null);
  return {
    draft: over(stands, changes),
    setDraft: (draft: SittingDraft) => setChanges(changesOf(stands, draft)),
    forget: () => setChanges(null),
  };
}
