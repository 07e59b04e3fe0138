package org.scholion.server.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.OpenItem;
import org.scholion.core.rubric.Resolving;
import org.scholion.server.access.Access;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.ByHand;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;

/** A kept comment that is said otherwise from now on, and where wanted in each answer in which its reader has said it. */
@Service
class SaidEverywhere {
    private static final int MOST = 300;

    private final KeptComments comments;
    private final Readings readings;
    private final ReadAnswers shown;
    private final SecondReadings seconds;
    private final Attempts attempts;
    private final Editions editions;
    private final Ledger ledger;
    private final Access access;

    SaidEverywhere(
            KeptComments comments,
            Readings readings,
            ReadAnswers shown,
            SecondReadings seconds,
            Attempts attempts,
            Editions editions,
            Ledger ledger,
            Access access) {
        this.comments = comments;
        this.readings = readings;
        this.shown = shown;
        this.seconds = seconds;
        this.attempts = attempts;
        this.editions = editions;
        this.ledger = ledger;
        this.access = access;
    }

    /** @param answers in how many answers it is said */
    record SaidIn(int answers) {}

    /** @param left how many could not be changed: somebody else has read or decided them meanwhile */
    record ChangedIn(KeptComments.CommentLine comment, int answers, int left) {}

    SaidIn saidIn(Me me, UUID comment) {
        return new SaidIn(saying(me, comments.text(me, comment)).size());
    }

    /** One answer after the other, each as if its reader had read it again: what is done stays done. */
    ChangedIn change(Me me, UUID comment, String text, @Nullable String letter) {
        String before = comments.text(me, comment);
        List<Saying> all = saying(me, before);
        KeptComments.CommentLine line = comments.change(me, comment, text, letter);
        Matcher said = said(before).matcher("");
        String now = Matcher.quoteReplacement(line.text());
        int left = 0;
        for (Saying one : all) {
            try {
                readings.save(
                        me,
                        one.attempt().assessment(),
                        one.read().answer(),
                        one.read().item(),
                        one.with(said.reset(one.read().comment()).replaceAll(now)),
                        false);
            } catch (Refused refused) {
                left++;
            }
        }
        return new ChangedIn(line, all.size() - left, left);
    }

    private record Saying(Attempt attempt, Readings.ReadAnswer read) {
        Readings.ReadingChange with(String comment) {
            Readings.SecondView second = read.second();
            return new Readings.ReadingChange(
                    read.levels(),
                    read.points(),
                    read.why(),
                    comment,
                    read.note(),
                    read.held(),
                    read.saw(),
                    second != null && second.third(),
                    read.remarks());
        }
    }

    /** By itself: "Good" is not said in "Goodness". */
    private static Pattern said(String words) {
        return Pattern.compile("(?<![\\p{L}\\p{N}])" + Pattern.quote(words) + "(?![\\p{L}\\p{N}])");
    }

    /** Where one's own reading stands and says it. */
    private List<Saying> saying(Me me, String words) {
        Matcher said = said(words).matcher("");
        List<Saying> all = new ArrayList<>();
        for (Ledger.Place place : ledger.said(me.id(), words, MOST)) {
            if (access.may(me, Access.Action.READ_ATTEMPT, place.attempt())) {
                saying(me, place)
                        .filter(s -> said.reset(s.read().comment()).find())
                        .ifPresent(all::add);
            }
        }
        return all;
    }

    private Optional<Saying> saying(Me me, Ledger.Place place) {
        Attempt attempt = attempts.require(place.attempt());
        OpenItem item = editions.require(attempt.assessment())
                .assessment()
                .item(place.item())
                .filter(OpenItem.class::isInstance)
                .map(OpenItem.class::cast)
                .orElse(null);
        LedgerMark mark = ledger.currentOf(attempt.id()).get(place.item());
        Resolving rule =
                seconds.ruleOf(attempt.assessment(), place.item(), attempt.id()).orElse(null);
        // What was overruled, or read again by somebody else, is theirs.
        if (item == null
                || mark == null
                || ByHand.isOverruled(mark)
                || rule == null && !me.id().equals(mark.person())) {
            return Optional.empty();
        }
        var responses = attempts.responsesOf(attempt.id());
        return Optional.of(new Saying(
                attempt, shown.view(me, item, attempt, Attempts.answer(item, responses), mark, false, rule)));
    }
}
