package org.scholion.server.collect;

import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.scholion.server.ledger.AtWork;

/**
 * How a sitting is taken by one student.
 *
 * @param reached the place of the question that was reached, where there is no going back; 0 otherwise
 * @param lateFrom from when on handing in is late; null where nothing late is taken
 * @param fullScreen whether full screen is asked for
 * @param calculator which one the page has; null for none
 * @param paused whether the teacher has paused it
 */
public record OwnRules(
        SittingSettings.Asking asking,
        boolean goingBack,
        boolean mustAnswer,
        boolean leavingCounted,
        String wordsAfter,
        int reached,
        @Nullable Instant lateFrom,
        boolean paused,
        SittingSettings.Practising practice,
        boolean fullScreen,
        SittingSettings.@Nullable Calculator calculator) {
    static OwnRules of(SittingRow sitting, OwnTimes times, AtWork.Stand stand) {
        SittingSettings s = sitting.settings;
        return new OwnRules(
                s.asking(),
                s.goingBack(),
                s.mustAnswer(),
                s.leavingCounted(),
                s.wordsAfter(),
                s.goingBack() ? 0 : stand.reached(),
                times.ends().isAfter(times.closes()) ? stand.dueAfter(times.closes()) : null,
                stand.pausedAt() != null,
                s.practice(),
                s.fullScreen(),
                s.calculator());
    }
}
