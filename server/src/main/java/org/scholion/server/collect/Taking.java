package org.scholion.server.collect;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.Item;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.json.Cursor;
import org.scholion.server.access.Access;
import org.scholion.server.key.Drawn;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.ledger.Scoring;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** A student's sitting on screen: begin, answer with autosave, hand in. */
@Service
public class Taking {
    /** What was typed in the last second may arrive a little after the deadline. */
    private static final Duration GRACE = Duration.ofSeconds(20);

    private final Sittings sittings;
    private final Attempts attempts;
    private final Drafts drafts;
    private final Editions editions;
    private final Scoring scoring;
    private final Access access;
    private final Events events;
    private final JdbcClient db;
    private final Clock clock;

    Taking(
            Sittings sittings,
            Attempts attempts,
            Drafts drafts,
            Editions editions,
            Scoring scoring,
            Access access,
            Events events,
            JdbcClient db,
            Clock clock) {
        this.sittings = sittings;
        this.attempts = attempts;
        this.drafts = drafts;
        this.editions = editions;
        this.scoring = scoring;
        this.access = access;
        this.events = events;
        this.db = db;
        this.clock = clock;
    }

    /** The acknowledgement of an answer: it is sent after the answer is safe. */
    public record SavedAnswer(Instant savedAt) {}

    /** The questions' own paper, seen beside the answers. */
    public record PaperSheet(String file, String name, String type) {}

    /** The paper as the student sees it. Nothing of the key is in it. */
    public record Paper(
            UUID attempt,
            String title,
            Instant deadline,
            boolean handedIn,
            List<PaperItem> items,
            List<PaperSheet> questions,
            Map<String, Object> answers,
            List<String> flagged) {}

    @Transactional
    public UUID begin(Me me, UUID sittingId) {
        access.require(me, Access.Action.SIT, sittingId);
        SittingRow sitting = sittings.require(sittingId);
        UUID existing = db.sql("select id from attempt where sitting_id = ? and student_id = ?")
                .params(sittingId, me.id())
                .query(UUID.class)
                .optional()
                .orElse(null);
        if (existing != null) {
            return existing;
        }
        Instant now = clock.instant();
        if (!sitting.isOpen(now)) {
            throw Refused.conflict(
                    "not-open",
                    now.isBefore(sitting.opensAt) ? "This is not open yet." : "This is closed. Ask your teacher.");
        }
        Edition edition = editions.require(sitting.assessment);
        UUID attempt = attempts.begin(
                new Attempts.Beginning(
                        sitting.school,
                        sitting.assessment,
                        sittingId,
                        sitting.section,
                        me.id(),
                        editions.idOf(sitting.assessment, edition.number()),
                        Attempt.Way.SCREEN),
                now);
        attempts.leaveOut(attempt, Drawn.leftOut(edition, attempt));
        events.say("assessment:" + sitting.assessment);
        return attempt;
    }

    @Transactional(readOnly = true)
    public Paper paper(Me me, UUID attemptId) {
        Attempt attempt = own(me, attemptId);
        // The student sees the edition they began with, whatever was corrected since.
        Edition edition = editions.numbered(attempt.assessment(), attempt.edition());
        Map<String, Object> answers = new LinkedHashMap<>();
        List<String> flagged = new ArrayList<>();
        drafts.of(attemptId).forEach((item, draft) -> {
            answers.put(item, JsonColumn.plain(draft.answer()));
            if (draft.flagged()) {
                flagged.add(item);
            }
        });
        return new Paper(
                attemptId,
                edition.assessment().title(),
                sittings.require(attempt.sitting()).deadline(attempt.startedAt()),
                attempt.isIn(),
                PaperItem.of(
                        edition.file(),
                        new OwnOrder(edition.file(), attemptId.getLeastSignificantBits(), attempt.leftOut())),
                edition.file().layout().questions().stream()
                        .map(q -> new PaperSheet(q.file(), q.name(), q.type()))
                        .toList(),
                answers,
                flagged);
    }

    @Transactional
    public SavedAnswer answer(Me me, UUID attemptId, String itemId, @Nullable Object answer, boolean flagged) {
        Attempt attempt = own(me, attemptId);
        Instant now = clock.instant();
        if (!attempts.hold(attemptId)) {
            throw Refused.conflict("handed-in", "You have handed this in already; your answers stay as they were.");
        }
        if (now.isAfter(sittings.require(attempt.sitting())
                .deadline(attempt.startedAt())
                .plus(GRACE))) {
            throw Refused.conflict("closed", "The time is over. What was saved before counts.");
        }
        Edition edition = editions.numbered(attempt.assessment(), attempt.edition());
        Item item = edition.assessment()
                .item(itemId)
                .filter(i -> !attempt.leftOut().contains(i.id()))
                .orElseThrow(Refused::notFound);
        JsonNode node = answer == null ? JsonColumn.node("") : JsonColumn.node(answer);
        Cursor at = Cursor.at(node);
        if (!(node.isString() && node.stringValue().isEmpty())) {
            AnswerJson.read(item, at);
            at.refuseFaulty();
        }
        drafts.append(attempt, itemId, node, flagged, now);
        events.say("assessment:" + attempt.assessment());
        return new SavedAnswer(now);
    }

    @Transactional
    public void handIn(Me me, UUID attemptId) {
        take(own(me, attemptId));
    }

    /** Hands in what an attempt has so far: by its student, or by the clock. */
    @Transactional
    void take(Attempt attempt) {
        // Held first, so that an answer which was acknowledged a moment ago is among those that are read now.
        if (attempts.hold(attempt.id())) {
            Map<String, JsonNode> answers = new LinkedHashMap<>();
            drafts.of(attempt.id()).forEach((item, draft) -> {
                if (!(draft.answer().isString() && draft.answer().stringValue().isEmpty())) {
                    answers.put(item, draft.answer());
                }
            });
            scoring.handIn(attempt, answers);
        }
    }

    private Attempt own(Me me, UUID attempt) {
        access.require(me, Access.Action.TAKE, attempt);
        return attempts.require(attempt);
    }
}
