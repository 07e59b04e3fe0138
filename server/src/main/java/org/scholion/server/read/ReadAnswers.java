package org.scholion.server.read;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Words;
import org.scholion.core.rubric.Reading;
import org.scholion.core.rubric.Resolving;
import org.scholion.core.score.Mark;
import org.scholion.core.text.WordRuns;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.ReadTwice;
import org.scholion.server.ledger.ReadTwice.ByReader;
import org.scholion.server.ledger.Seen;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** An answer as one reader sees it: of another's reading nothing before the own one is made. */
@Component
class ReadAnswers {
    private final Veil veil;
    private final Seen seen;

    ReadAnswers(Veil veil, Seen seen) {
        this.veil = veil;
        this.seen = seen;
    }

    /** Names are hidden by another name in each reader's pile of each question. */
    static String place(Me me, String item) {
        return "read/" + me.id() + "/" + item;
    }

    /** @param rule where the answer is read twice; null where one reading is enough */
    Readings.ReadAnswer view(
            Me me,
            OpenItem item,
            Attempt attempt,
            Answer answer,
            LedgerMark m,
            boolean names,
            @Nullable Resolving rule) {
        JsonNode reading = m.reading() == null ? JsonColumn.node(Map.of()) : m.reading();
        Readings.ReadAnswer alone = new Readings.ReadAnswer(
                names ? attempt.id() : veil.covered(place(me, item.id()), attempt.id()),
                names ? attempt.name() : null,
                answer.shown(),
                WordRuns.of(answer.shown()).size(),
                shown(item, m, names),
                new Reading(m.levels(), null).under(item).levels(),
                reading.hasNonNull("points") ? reading.get("points").stringValue() : null,
                reading.path("why").asString(""),
                m.comment(),
                reading.path("note").asString(""),
                reading.path("held").asBoolean(false),
                seen.mark(m),
                null);
        return rule == null ? alone : withOthers(me, item, m, alone, ReadTwice.of(rule, m, item));
    }

    /** When it was handed in tells who wrote it, beside a list of who handed in when. */
    private static MarkView shown(OpenItem item, LedgerMark m, boolean names) {
        MarkView mark = MarkView.of(item, m);
        return names || m.byPerson() ? mark : mark.withoutTime();
    }

    private Readings.ReadAnswer withOthers(
            Me me, OpenItem item, LedgerMark m, Readings.ReadAnswer alone, ReadTwice twice) {
        Optional<ByReader> third = twice.by(me.id(), true);
        Optional<ByReader> first = twice.by(me.id(), false);
        ByReader mine = third.or(() -> first).orElse(null);
        boolean isMade = first.or(() -> third).filter(r -> r.isComplete(item)).isPresent();
        List<Readings.OtherReading> others = isMade ? others(me, item, twice) : List.of();
        boolean apart = isMade && twice.isApart(item);
        // What others made of it is not told before.
        LedgerMark told = isMade ? m : m.of(Mark.unread(Reason.of(Reason.Code.OPEN_WAITS)));
        Readings.SecondView second = new Readings.SecondView(
                !isMade,
                others,
                third.isPresent(),
                apart,
                isMade ? Words.english(m.mark().reason()) : "",
                !m.mark().state().isUndecided());
        return alone.of(
                MarkView.of(item, told).withoutTime(),
                mine == null
                        ? Map.of()
                        : new Reading(mine.levels(), null).under(item).levels(),
                mine,
                saw(me, m, twice),
                second);
    }

    private static List<Readings.OtherReading> others(Me me, OpenItem item, ReadTwice twice) {
        return twice.others(me.id(), item).stream()
                .map(r -> new Readings.OtherReading(r.name(), r.levels(), r.points(), r.comment(), r.third()))
                .toList();
    }

    /**
     * What stands here for this reader: which mark, and where two read it, only what is their own, so that both can read at
     * the same time.
     */
    String saw(Me me, OpenItem item, LedgerMark m, @Nullable Resolving rule) {
        return rule == null ? seen.mark(m) : saw(me, m, ReadTwice.of(rule, m, item));
    }

    private String saw(Me me, LedgerMark m, ReadTwice twice) {
        String own = twice.by(me.id(), false) + "/" + twice.by(me.id(), true);
        return veil.name("reading", m.attempt() + "/" + m.item() + "/" + own);
    }
}
