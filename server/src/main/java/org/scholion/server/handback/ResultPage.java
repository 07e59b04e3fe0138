package org.scholion.server.handback;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.answer.Told;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Reason;
import org.scholion.core.reason.Words;
import org.scholion.core.score.RightAnswer;
import org.scholion.formats.rich.RichText;
import org.scholion.server.comment.PaperComments;
import org.scholion.server.drawn.DrawnMarks;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Ledger;
import org.scholion.server.ledger.LedgerMark;
import org.scholion.server.ledger.MarkView;
import org.scholion.server.ledger.Remark;
import org.scholion.server.ledger.Standings;
import org.scholion.server.standard.Frameworks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.function.SingletonSupplier;
import tools.jackson.databind.JsonNode;

/** Makes a student's result page from ledger and standing. */
@Service
public class ResultPage {
    private final Attempts attempts;
    private final Ledger ledger;
    private final Standings standings;
    private final Editions editions;
    private final Assessments assessments;
    private final Frameworks frameworks;
    private final ClassFigures classes;
    private final DrawnMarks drawn;
    private final PaperComments comments;
    private final EntityManager entities;

    ResultPage(
            Attempts attempts,
            Ledger ledger,
            Standings standings,
            Editions editions,
            Assessments assessments,
            Frameworks frameworks,
            ClassFigures classes,
            DrawnMarks drawn,
            PaperComments comments,
            EntityManager entities) {
        this.attempts = attempts;
        this.ledger = ledger;
        this.standings = standings;
        this.editions = editions;
        this.assessments = assessments;
        this.frameworks = frameworks;
        this.classes = classes;
        this.drawn = drawn;
        this.comments = comments;
        this.entities = entities;
    }

    /** A message for whoever has at least this percent. */
    public record Message(String from, String text) {}

    /** What all pages of an assessment have in common: it is asked once for all of them, standards where one shows them. */
    record Common(
            Edition edition,
            String title,
            String course,
            SingletonSupplier<OnStandards> standards,
            ClassFigures classes,
            Map<UUID, Map<String, String>> drawn,
            Map<UUID, List<PaperComments.Said>> said) {

        /** By which it is seen whether something else is said of a paper now; null where nothing is. */
        @Nullable
        String saidInShort(UUID attempt) {
            List<PaperComments.Said> own = said.get(attempt);
            return own == null ? null : PaperComments.stamp(own);
        }
    }

    @Transactional(readOnly = true)
    Common common(Edition edition) {
        return common(edition, drawn.stamps(edition.assessmentId()), comments.ofAssessment(edition.assessmentId()));
    }

    private Common common(
            Edition edition, Map<UUID, Map<String, String>> stamps, Map<UUID, List<PaperComments.Said>> said) {
        Assessments.Facts facts = assessments.facts(edition.assessmentId());
        String course = entities.createQuery("select c.title from Course c where c.id = :id", String.class)
                .setParameter("id", facts.course())
                .getSingleResult();
        return new Common(
                edition,
                facts.title(),
                course,
                SingletonSupplier.of(() -> OnStandards.of(edition, frameworks.ofCourse(facts.course()))),
                classes,
                stamps,
                said);
    }

    @Transactional(readOnly = true)
    public StudentResult of(Attempt attempt, Sees sees, List<Message> messages) {
        return page(
                common(
                        editions.require(attempt.assessment()),
                        drawn.stampsOf(attempt.id()),
                        comments.ofAttempt(attempt.id())),
                attempt,
                standings.ofAttempt(attempt),
                attempts.responsesOf(attempt.id()),
                ledger.currentOf(attempt.id()),
                sees,
                messages);
    }

    StudentResult page(
            Common common,
            Attempt attempt,
            Standings.Standing standing,
            Map<String, JsonNode> responses,
            Map<String, LedgerMark> marks,
            Sees sees,
            List<Message> messages) {
        // Prompts stand as the student saw them; marks and keys as they are now.
        Edition seen = editions.numbered(attempt.assessment(), attempt.edition());
        return page(common, seen, attempt, standing, responses, marks, sees, messages);
    }

    /** @param seen the edition that the student had */
    StudentResult page(
            Common common,
            Edition seen,
            Attempt attempt,
            Standings.Standing standing,
            Map<String, JsonNode> responses,
            Map<String, LedgerMark> marks,
            Sees sees,
            List<Message> messages) {
        Edition edition = common.edition();
        List<StudentResult.ResultItem> items = new ArrayList<>();
        HowItCounts counts = HowItCounts.of(edition, attempt, marks, standing);
        for (Item item : edition.items()) {
            // What was not drawn was never asked.
            if (attempt.leftOut().contains(item.id())) {
                continue;
            }
            items.add(item(common, seen, attempt, item, responses, marks.get(item.id()), counts, sees));
        }
        boolean score = sees.score();
        return new StudentResult(
                common.title(),
                common.course(),
                attempt.name(),
                score ? standing.score() : null,
                score ? standing.possible() : null,
                score ? standing.percent() : null,
                score ? standing.band() : null,
                score ? standing.passed() : null,
                !standing.isFinal(),
                message(standing.percent(), messages),
                score ? counts.ofAll() : null,
                sees.notes() ? said(common, attempt) : List.of(),
                score ? awards(edition, standing) : List.of(),
                sees.showsStandards() ? common.standards().obtain().of(marks) : List.of(),
                sees.showsClass() ? common.classes().of(edition, attempt) : null,
                items);
    }

    private static List<StudentResult.ResultSaid> said(Common common, Attempt attempt) {
        return common.said().getOrDefault(attempt.id(), List.of()).stream()
                .map(s -> new StudentResult.ResultSaid(s.name(), Placeholders.filled(s.text(), attempt)))
                .toList();
    }

    private static List<StudentResult.ResultAward> awards(Edition edition, Standings.Standing standing) {
        Fraction percent = standing.percent() == null ? null : Fraction.exactly(standing.percent());
        return edition.awards(percent, !standing.isFinal()).stream()
                .map(a -> new StudentResult.ResultAward(a.title(), a.words()))
                .toList();
    }

    private static StudentResult.ResultItem item(
            Common common,
            Edition seen,
            Attempt attempt,
            Item item,
            Map<String, JsonNode> responses,
            @Nullable LedgerMark mark,
            HowItCounts counts,
            Sees sees) {
        Edition edition = common.edition();
        Item asSeen = seen.assessment().item(item.id()).orElse(item);
        Answer answer = Attempts.answer(asSeen, responses);
        // While the reading is held back, or a criterion is missing, what was said stays with the reader.
        LedgerMark spoken = sees.notes() && mark != null && !mark.mark().state().isUndecided() ? mark : null;
        return new StudentResult.ResultItem(
                item.id(),
                edition.numberOf(item.id(), attempt.leftOut()),
                asSeen.asked(),
                sees.answers() ? Told.in(asSeen, answer) : null,
                sees.marks() && mark != null ? mark(item, mark, sees) : null,
                spoken == null ? "" : Placeholders.filled(spoken.comment(), attempt),
                sees.keys() ? RightAnswer.inWords(item).orElse(null) : null,
                sees.score() || sees.marks() ? counts.of(item) : null,
                spoken == null ? null : feedback(edition, item, spoken),
                spoken == null ? List.of() : remarks(spoken, attempt),
                sees.answers() && answer instanceof Answer.Written w ? w.attachments() : List.of(),
                spoken == null || !sees.answers()
                        ? null
                        : common.drawn().getOrDefault(attempt.id(), Map.of()).get(item.id()));
    }

    private static List<Remark> remarks(LedgerMark mark, Attempt attempt) {
        return mark.remarks().stream()
                .map(r -> r.saying(Placeholders.filled(r.text(), attempt)))
                .toList();
    }

    /** What the key says to whoever was right, partly right or wrong. */
    private static @Nullable String feedback(Edition edition, Item item, LedgerMark mark) {
        String said =
                edition.file().particulars(item.id()).feedback().at(mark.mark().credit());
        return said == null ? null : RichText.clean(said);
    }

    private static StudentResult.ResultMark mark(Item item, LedgerMark m, Sees sees) {
        MarkView v = MarkView.of(item, m);
        Reason told = sees.notes() ? m.mark().reason() : m.mark().reason().without("note");
        String because = sees.keys() ? Words.english(told) : Words.withoutKey(told);
        return new StudentResult.ResultMark(
                v.state(), v.points(), v.of(), v.by().name(), because, said(told, because), v.who(), v.mastered());
    }

    /** The teacher's words in a reason, where the reason tells them: without the key it may not. */
    private static @Nullable String said(Reason told, String because) {
        String note = told.word("note");
        return !note.isBlank() && because.contains(note) ? note : null;
    }

    /** The message with the highest bound that is reached; none without a percent. */
    static String message(@Nullable String percent, List<Message> messages) {
        if (percent == null) {
            return "";
        }
        Fraction reached = Fraction.exactly(percent);
        return messages.stream()
                .filter(m -> Fraction.exactly(m.from()).compareTo(reached) <= 0)
                .max(java.util.Comparator.comparing(m -> Fraction.exactly(m.from())))
                .map(Message::text)
                .orElse("");
    }
}
