package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.person.KeptOfStudent;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A student's attempts, what they say, and every mark that they ever had. */
@Component
class AttemptsKept implements KeptOfStudent {
    private final EntityManager entities;

    AttemptsKept(EntityManager entities) {
        this.entities = entities;
    }

    @Override
    public List<String> clashes(UUID from, UUID to) {
        return entities
                .createQuery("""
                        select distinct t.title from AnyAttempt a join AnyAttempt b on b.assessment = a.assessment
                        join AssessmentRow t on t.id = a.assessment
                        where a.student = :from and b.student = :to order by t.title""", String.class)
                .setParameter("from", from)
                .setParameter("to", to)
                .getResultList()
                .stream()
                .map(title -> "answers of both to " + title)
                .toList();
    }

    @Override
    public void move(UUID from, UUID to) {
        // Whoever changes what was handed in has set it aside.
        for (String who : List.of("student", "setAsideBy")) {
            entities.createQuery("update AnyAttempt a set a." + who + " = :to where a." + who + " = :from")
                    .setParameter("to", to)
                    .setParameter("from", from)
                    .executeUpdate();
        }
    }

    private record Told(
            UUID id,
            String assessment,
            Attempt.Way way,
            Instant startedAt,
            @Nullable Instant handedInAt,
            @Nullable Instant setAsideAt,
            String daysLate) {}

    @Override
    public void tell(UUID student, ObjectNode file) {
        ArrayNode attempts = file.putArray("attempts");
        Map<UUID, ObjectNode> byId = new HashMap<>();
        entities.createQuery("""
                        select a.id, t.title, a.way, a.startedAt, a.handedInAt, a.setAsideAt, a.daysLate from AnyAttempt a
                        join AssessmentRow t on t.id = a.assessment where a.student = :student
                        order by a.startedAt""", Told.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(a -> {
                    ObjectNode one = attempts.addObject()
                            .put("assessment", a.assessment())
                            .put("way", a.way().name())
                            .put("startedAt", a.startedAt().toString())
                            .put("handedInAt", told(a.handedInAt()))
                            .put("setAsideAt", told(a.setAsideAt()))
                            .put("daysLate", a.daysLate());
                    one.putObject("answers");
                    one.putArray("lateAnswers");
                    one.putArray("drafts");
                    one.putArray("marks");
                    byId.put(a.id(), one);
                });
        if (!byId.isEmpty()) {
            answers(byId);
            drafts(byId);
            marks(byId);
        }
    }

    private static @Nullable String told(@Nullable Instant moment) {
        return moment == null ? null : moment.toString();
    }

    private void answers(Map<UUID, ObjectNode> byId) {
        entities.createQuery("from ResponseRow r where r.attempt in (:some) order by r.item", ResponseRow.class)
                .setParameter("some", byId.keySet())
                .getResultList()
                .forEach(r -> Objects.requireNonNull(byId.get(r.attempt))
                        .withObject("answers")
                        .set(r.item, r.answer));
        entities.createQuery("from LateAnswer l where l.attempt in (:some) order by l.cameAt", LateAnswer.class)
                .setParameter("some", byId.keySet())
                .getResultList()
                .forEach(l -> Objects.requireNonNull(byId.get(l.attempt))
                        .withArray("lateAnswers")
                        .addObject()
                        .put("item", l.item)
                        .put("writtenAt", l.writtenAt.toString())
                        .put("decision", String.valueOf(l.decision))
                        .set("answer", l.answer));
    }

    private record Draft(UUID attempt, String item, JsonNode answer, Instant at) {}

    /** What was written on the way, and is kept as it was saved. */
    private void drafts(Map<UUID, ObjectNode> byId) {
        entities.createQuery(
                        "select d.attempt, d.item, d.answer, d.at from DraftRow d where d.attempt in (:some) order by d.seq",
                        Draft.class)
                .setParameter("some", byId.keySet())
                .getResultList()
                .forEach(d -> Objects.requireNonNull(byId.get(d.attempt()))
                        .withArray("drafts")
                        .addObject()
                        .put("item", d.item())
                        .put("savedAt", d.at().toString())
                        .set("answer", d.answer()));
    }

    private void marks(Map<UUID, ObjectNode> byId) {
        entities.createQuery("from MarkRow m where m.attempt in (:some) order by m.seq", MarkRow.class)
                .setParameter("some", byId.keySet())
                .getResultList()
                .forEach(m -> {
                    ObjectNode mark = Objects.requireNonNull(byId.get(m.attempt))
                            .withArray("marks")
                            .addObject()
                            .put("item", m.item)
                            .put("at", m.at.toString())
                            .put("state", m.state.name())
                            .put("credit", m.numerator + "/" + m.denominator)
                            .put("byPerson", m.person != null);
                    mark.set("reason", m.reason);
                    if (m.reading != null) {
                        mark.set("reading", m.reading);
                    }
                });
    }
}
