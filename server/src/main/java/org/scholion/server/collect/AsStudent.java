package org.scholion.server.collect;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.Grading;
import org.scholion.server.access.Access;
import org.scholion.server.file.FileUses;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Drawn;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.AtWork;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.scholion.server.platform.Veil;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * The whole way of a sitting as a student has it, for a teacher who looks: the page before it and the paper, in an order
 * and a draw of its own. Nothing of it is an attempt, and nothing counts.
 */
@Service
public class AsStudent {
    private static final Fraction ALL = Fraction.HUNDRED;

    private final Assessments assessments;
    private final Editions editions;
    private final Sittings sittings;
    private final FileUses files;
    private final Access access;
    private final Veil veil;
    private final Clock clock;

    AsStudent(
            Assessments assessments,
            Editions editions,
            Sittings sittings,
            FileUses files,
            Access access,
            Veil veil,
            Clock clock) {
        this.assessments = assessments;
        this.editions = editions;
        this.sittings = sittings;
        this.files = files;
        this.access = access;
        this.veil = veil;
        this.clock = clock;
    }

    /**
     * What a student would have.
     *
     * @param line as it stands under To do, with what the page before it tells
     * @param seen what they would see of their work, and when
     * @param different what is different for the chosen student; only the teacher who looks is told
     * @param wrong what should be put right before it is given out, in words
     */
    record AsStudentView(
            ToDo.ToDoLine line, Taking.Paper paper, SeenWhen seen, boolean different, List<String> wrong) {}

    @Transactional(readOnly = true)
    AsStudentView of(Me me, UUID assessment, @Nullable UUID sittingId, @Nullable UUID student) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = edition(assessment);
        Instant now = clock.instant();
        SittingRow sitting = sittingId == null ? usual(assessment, now) : own(assessment, sittingId);
        DifferentRow different = sittingId == null || student == null
                ? null
                : sittings.differentIn(sittingId).get(student);
        OwnTimes times = OwnTimes.of(sitting, different);
        // Seen before it opens as if it had just opened.
        Instant begun = now.isBefore(times.opens()) || !now.isBefore(times.ends()) ? times.opens() : now;
        Instant ends = now.plus(Duration.between(begun, times.deadline(begun)));
        return new AsStudentView(
                ToDo.open(sitting, different, edition.assessment().title()),
                paper(edition, sitting, times, now, ends),
                sitting.seen,
                different != null,
                wrong(me, edition));
    }

    /**
     * What was tried on a paper that was made for nobody.
     *
     * @param answers as they would be kept
     * @param questionsSeen whether the questions may be seen again at that moment
     */
    public record Tried(
            Edition edition,
            Attempt attempt,
            Map<String, JsonNode> answers,
            SeenWhen.SeenNow seen,
            boolean questionsSeen) {}

    /**
     * Takes what a teacher tried as a student; nothing of it is kept.
     *
     * @param nobody the attempt of the paper that was shown
     * @param said by item, under the ids of that paper
     * @param moment of what a student would see then
     */
    @Transactional(readOnly = true)
    public Tried tried(
            Me me,
            UUID assessment,
            @Nullable UUID sittingId,
            UUID nobody,
            Map<String, Object> said,
            SeenWhen.When moment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Edition edition = edition(assessment);
        Instant now = clock.instant();
        SittingRow sitting = sittingId == null ? usual(assessment, now) : own(assessment, sittingId);
        OwnIds ids = new OwnIds(veil, nobody);
        Set<String> leftOut = Drawn.leftOut(edition, nobody);
        Map<String, JsonNode> answers = new LinkedHashMap<>();
        for (Item item : edition.items()) {
            Object typed = leftOut.contains(item.id()) ? null : said.get(item.id());
            JsonNode answer = typed == null ? null : JsonColumn.node(typed);
            if (answer != null && Monitor.isSaid(answer)) {
                answers.put(item.id(), ids.answer(item, answer));
            }
        }
        Attempt attempt = new Attempt(
                nobody,
                me.school(),
                assessment,
                sitting.id,
                nobody,
                nobody,
                "",
                "",
                1,
                edition.number(),
                Attempt.Way.SCREEN,
                leftOut,
                Fraction.ZERO,
                now,
                now);
        return new Tried(
                edition, attempt, answers, sitting.seen.then(moment), seesQuestions(sitting.paperAfter, moment));
    }

    private static boolean seesQuestions(PaperAfter after, SeenWhen.When moment) {
        return switch (after) {
            case AT_ONCE -> true;
            case WHEN_ALL_CLOSED -> moment.compareTo(SeenWhen.When.ALL_CLOSED) >= 0;
            case NEVER -> moment == SeenWhen.When.HANDED_BACK;
        };
    }

    /** As it was given out last, or as it would be now. */
    private Edition edition(UUID assessment) {
        Edition edition = editions.latest(assessment)
                .orElseGet(() -> Edition.compile(assessment, 1, assessments.asDrawn(assessment), List.of()));
        if (edition.items().isEmpty()) {
            throw Refused.invalid("items", "there is no question yet; write one before you look at it as a student");
        }
        return edition;
    }

    private SittingRow own(UUID assessment, UUID id) {
        SittingRow row = sittings.require(id);
        if (!row.assessment.equals(assessment)) {
            throw Refused.notFound();
        }
        return row;
    }

    /** A sitting as it usually is, where it is not given out yet. */
    private static SittingRow usual(UUID assessment, Instant now) {
        SittingRow row = new SittingRow();
        row.id = assessment;
        row.assessment = assessment;
        row.opensAt = now;
        row.closesAt = now.plus(Duration.ofHours(1));
        row.endsAt = row.closesAt;
        row.paperAfter = PaperAfter.WHEN_ALL_CLOSED;
        row.settings = SittingSettings.USUAL;
        row.seen = SeenWhen.USUAL;
        return row;
    }

    private Taking.Paper paper(Edition edition, SittingRow sitting, OwnTimes times, Instant now, Instant ends) {
        UUID nobody = UUID.randomUUID();
        Set<String> leftOut = Drawn.leftOut(edition, nobody);
        AtWork.Stand stand =
                new AtWork.Stand(nobody, sitting.id, nobody, now, ends, null, null, null, 0, 0, 0, null, null);
        return new Taking.Paper(
                nobody,
                sitting.id,
                edition.assessment().title(),
                ends,
                false,
                true,
                edition.assessment().parts().stream()
                        .map(p -> Taking.PaperPart.of(p, edition.file().layout()))
                        .toList(),
                PaperItem.of(edition.file(), OwnOrder.of(edition, nobody, leftOut), new OwnIds(veil, nobody)),
                Taking.PaperSheet.of(edition),
                Map.of(),
                List.of(),
                Map.of(),
                now,
                null,
                OwnRules.of(sitting, times, stand),
                Map.of(),
                TakingAgain.Next.NOTHING);
    }

    private List<String> wrong(Me me, Edition edition) {
        List<String> wrong = new ArrayList<>();
        for (Item item : edition.items()) {
            if (item instanceof ChoiceItem choice && hasTwice(choice)) {
                wrong.add("Question " + edition.numberOf(item.id()) + " has two options with the same words.");
            }
        }
        if (!files.missing(me.school(), edition.definition()).isEmpty()) {
            wrong.add("A picture, a sound or another file of the paper is not there. Put it in again.");
        }
        Grading grading = edition.assessment().grading();
        if (grading.pass() != null && grading.pass().compareTo(ALL) > 0) {
            wrong.add("Nobody can pass: the pass mark is above 100%.");
        }
        grading.bands().stream()
                .filter(b -> b.from().compareTo(ALL) > 0)
                .forEach(b -> wrong.add("Nobody can reach the band “" + b.label() + "”: it begins above 100%."));
        edition.file().layout().awards().stream()
                .filter(a -> a.from().compareTo(ALL) > 0)
                .forEach(a -> wrong.add("Nobody can reach “" + a.title() + "”: it begins above 100%."));
        return wrong;
    }

    private static boolean hasTwice(ChoiceItem choice) {
        Set<String> seen = new HashSet<>();
        return choice.options().stream()
                .map(o -> o.text().strip().toLowerCase(Locale.ROOT))
                .anyMatch(text -> !text.isEmpty() && !seen.add(text));
    }
}
