package org.scholion.server.handback;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.collect.SeenWhen;
import org.scholion.server.collect.Sittings;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.person.People;
import org.scholion.server.platform.Me;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a student sees of what they handed in before it is handed back: what the sitting allows at this moment. */
@Service
class EarlySight {
    private final Attempts attempts;
    private final Sittings sittings;
    private final ResultPage page;
    private final StudentResults results;
    private final People people;
    private final Access access;

    EarlySight(
            Attempts attempts,
            Sittings sittings,
            ResultPage page,
            StudentResults results,
            People people,
            Access access) {
        this.attempts = attempts;
        this.sittings = sittings;
        this.page = page;
        this.results = results;
        this.people = people;
        this.access = access;
    }

    /** @param result null where nothing may be seen now */
    record Early(@Nullable StudentResult result) {}

    @Transactional(readOnly = true)
    Early of(Me me, UUID id) {
        access.require(me, Access.Action.TAKE, id);
        Attempt attempt = attempts.require(id);
        if (me.only() != null && people.isGuest(me.id())) {
            // A guest has no other page on which it would stand.
            StudentResult handedBack = results.lastOf(id).orElse(null);
            if (handedBack != null) {
                return new Early(handedBack);
            }
        }
        Sittings.Sight sight = sittings.sight(attempt.sitting());
        if (!attempt.isIn() || !sight.seen().any()) {
            return new Early(null);
        }
        StudentResult result = page.of(attempt, sees(sight.seen()), List.of());
        return new Early(untilDecided(sight.questions() ? result : withoutQuestions(result)));
    }

    static Sees sees(SeenWhen.SeenNow seen) {
        return new Sees(
                seen.score(),
                seen.marks(),
                seen.answers(),
                seen.notes(),
                seen.keys(),
                seen.standards(),
                seen.classFigures());
    }

    /** While marks are open, what is said of the whole paper may still be being written. */
    private static StudentResult untilDecided(StudentResult r) {
        return r.provisional() ? r.with(List.of(), r.items()) : r;
    }

    /** While others have the questions before them, nobody is told what is asked. */
    static StudentResult withoutQuestions(StudentResult r) {
        return r.with(
                r.said(),
                r.items().stream()
                        .map(i -> new StudentResult.ResultItem(
                                i.item(),
                                i.number(),
                                "",
                                i.answer(),
                                i.mark(),
                                i.comment(),
                                i.key(),
                                i.counts(),
                                i.feedback(),
                                i.remarks(),
                                i.attachments(),
                                null))
                        .toList());
    }
}
