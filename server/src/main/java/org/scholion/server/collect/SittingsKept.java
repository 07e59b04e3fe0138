package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.person.KeptOfStudent;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What is different for a student in sittings, the lines that were said to them, and how often they practised. */
@Component
class SittingsKept implements KeptOfStudent {
    private final EntityManager entities;

    SittingsKept(EntityManager entities) {
        this.entities = entities;
    }

    /** Where both have something different in one sitting, what the one who stays has holds. */
    @Override
    public void move(UUID from, UUID to) {
        for (String change : List.of(
                "delete from DifferentRow d where d.student = :from and exists ("
                        + "select 1 from DifferentRow o where o.sitting = d.sitting and o.student = :to)",
                "update DifferentRow d set d.student = :to where d.student = :from",
                "delete from ChosenStudent c where c.student = :from and exists ("
                        + "select 1 from ChosenStudent o where o.sitting = c.sitting and o.student = :to)",
                "update ChosenStudent c set c.student = :to where c.student = :from",
                "delete from SittingSlip s where s.student = :from and s.student <> :to",
                "update TeacherLine l set l.student = :to where l.student = :from")) {
            var query = entities.createQuery(change).setParameter("from", from);
            query.setParameter("to", to).executeUpdate();
        }
    }

    @Override
    public void forget(UUID student) {
        Guest guest = entities.find(Guest.class, student);
        if (guest != null) {
            guest.group = "";
            guest.email = "";
            guest.own = Map.of();
        }
        entities.createQuery("delete from SittingSlip s where s.student = :student")
                .setParameter("student", student)
                .executeUpdate();
    }

    private record Different(
            String assessment,
            int percent,
            int more,
            @Nullable Instant opensAt,
            @Nullable Instant closesAt,
            int attempts,
            String note) {}

    private record LineTo(String assessment, Instant at, String words) {}

    private record Looks(String assessment, String item, int tries) {}

    @Override
    public void tell(UUID student, ObjectNode file) {
        ArrayNode different = file.putArray("differentInSittings");
        entities.createQuery("""
                        select t.title, d.percent, d.more, d.opensAt, d.closesAt, d.attempts, d.note from DifferentRow d
                        join SittingRow s on s.id = d.sitting join AssessmentRow t on t.id = s.assessment
                        where d.student = :student order by t.title""", Different.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(d -> different
                        .addObject()
                        .put("assessment", d.assessment())
                        .put("percentOfTime", d.percent())
                        .put("minutesMore", d.more())
                        .put("opens", d.opensAt() == null ? null : d.opensAt().toString())
                        .put(
                                "closes",
                                d.closesAt() == null ? null : d.closesAt().toString())
                        .put("attemptsMore", d.attempts())
                        .put("note", d.note()));
        ArrayNode lines = file.putArray("linesFromTeachers");
        entities.createQuery("""
                        select t.title, l.saidAt, l.words from TeacherLine l join SittingRow s on s.id = l.sitting
                        join AssessmentRow t on t.id = s.assessment
                        where l.student = :student order by l.saidAt""", LineTo.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(l -> lines.addObject()
                        .put("assessment", l.assessment())
                        .put("at", l.at().toString())
                        .put("words", l.words()));
        Guest guest = entities.find(Guest.class, student);
        if (guest != null) {
            ObjectNode said = file.putObject("cameAsGuest")
                    .put("at", guest.at.toString())
                    .put("class", guest.group)
                    .put("email", guest.email);
            guest.own.forEach(said::put);
        }
        ArrayNode looks = file.putArray("practice");
        entities.createQuery("""
                        select t.title, k.item, k.tries from LookRow k join AttemptRow x on x.id = k.attempt
                        join AssessmentRow t on t.id = x.assessment
                        where x.student = :student order by t.title, k.item""", Looks.class)
                .setParameter("student", student)
                .getResultList()
                .forEach(k -> looks.addObject()
                        .put("assessment", k.assessment())
                        .put("item", k.item())
                        .put("tries", k.tries()));
    }
}
