package org.scholion.server.read;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.OpenItem;
import org.scholion.core.reason.Words;
import org.scholion.core.rubric.Reading;
import org.scholion.core.rubric.Resolving;
import org.scholion.core.text.WordRuns;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.ReadTwice;
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

    Readings.ReadAnswer view(
            Me me,
            OpenItem item,
            Attempt attempt,
            Answer answer,
            LedgerMark m,
            boolean names,
            @Nullable Resolving rule) {
        return view(me, item, attempt, answer, m, names, rule, null);
    }

    /**
     * @param rule where the answer is read twice; null where one reading is enough
     * @param student the number of the student in a pile that is read by student
     */
    Readings.ReadAnswer view(
            Me me,
            OpenItem item,
            Attempt attempt,
            Answer answer,
            LedgerMark m,
            boolean names,
            @Nullable Resolving rule,
            @Nullable Integer student) {
        ReadTwice twice = rule == null ? null : ReadTwice.of(rule, m, item);
        LedgerMark own = twice == null ? m : twice.seenBy(me.id(), m, item);
        JsonNode reading = own.reading() == null ? JsonColumn.node(Map.of()) : own.reading();
        return new Readings.ReadAnswer(
                names ? attempt.id() : veil.covered(place(me, item.id()), attempt.id()),
                item.id(),
                student,
                names ? attempt.name() : null,
                answer.shown(),
                WordRuns.of(answer.shown()).size(),
                told(item, own, twice == null && (names || own.byPerson())),
                new Reading(own.levels(), null).under(item).levels(),
                reading.hasNonNull("points") ? reading.get("points").stringValue() : null,
                reading.path("why").asString(""),
                own.comment(),
                reading.path("note").asString(""),
                reading.path("held").asBoolean(false),
                own.remarks(),
                twice == null ? seen.mark(m) : saw(me, m, twice),
                twice == null ? null : second(me, item, m, twice),
                answer instanceof Answer.Written w ? w.attachments() : List.of());
    }

    /** When it was handed in, or read by another, tells more than it should. */
    private static MarkView told(OpenItem item, LedgerMark m, boolean time) {
        MarkView mark = MarkView.of(item, m);
        return time ? mark : mark.withoutTime();
    }

    private static Readings.SecondView second(Me me, OpenItem item, LedgerMark m, ReadTwice twice) {
        boolean made = twice.isMadeBy(me.id(), item);
        return new Readings.SecondView(
                !made,
                made ? others(me, item, twice) : List.of(),
                twice.by(me.id(), true).isPresent(),
                made && twice.isApart(item),
                made ? Words.english(m.mark().reason()) : "",
                !m.mark().state().isUndecided());
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
