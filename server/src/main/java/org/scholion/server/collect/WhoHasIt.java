package org.scholion.server.collect;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.access.Access;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** For whom a sitting is: its whole section, or chosen students of it. */
@Service
class WhoHasIt {
    private final EntityManager entities;
    private final Access access;
    private final Events events;

    WhoHasIt(EntityManager entities, Access access, Events events) {
        this.entities = entities;
        this.access = access;
        this.events = events;
    }

    record SittingStudent(UUID id, String given, String family) {}

    /** Who has it, by family name. */
    @Transactional(readOnly = true)
    List<SittingStudent> of(UUID sitting) {
        return entities.createQuery("""
                        select p.id, p.given, p.family from Expected x join Person p on p.id = x.student
                        where x.sitting = :sitting order by p.family, p.given""", SittingStudent.class)
                .setParameter("sitting", sitting)
                .getResultList();
    }

    /** All of the section, whether they have it or not. */
    @Transactional(readOnly = true)
    List<SittingStudent> ofSection(UUID section) {
        return entities.createQuery("""
                        select p.id, p.given, p.family from Enrolment e join Person p on p.id = e.student
                        where e.section = :section order by p.family, p.given""", SittingStudent.class)
                .setParameter("section", section)
                .getResultList();
    }

    /** Goes on only if these students have it. */
    @Transactional(propagation = Propagation.MANDATORY)
    void require(SittingRow sitting, Collection<UUID> students) {
        if (!ids(of(sitting.id)).containsAll(students)) {
            throw Refused.invalid("student", "this student does not have it");
        }
    }

    private static Set<UUID> ids(List<SittingStudent> students) {
        Set<UUID> ids = new HashSet<>();
        students.forEach(s -> ids.add(s.id()));
        return ids;
    }

    /** @param students null for the whole section, whoever joins it later */
    @Transactional
    void choose(Me me, UUID sitting, @Nullable List<UUID> students) {
        access.require(me, Access.Action.WORK_ON_SITTING, sitting);
        // One after the other: two who choose at once choose twice, and the last holds.
        SittingRow row = entities.find(SittingRow.class, sitting, LockModeType.PESSIMISTIC_WRITE);
        choose(row, students);
        events.say("assessment:" + row.assessment);
    }

    @Transactional(propagation = Propagation.MANDATORY)
    void choose(SittingRow row, @Nullable List<UUID> students) {
        Set<UUID> chosen = students == null ? Set.of() : new HashSet<>(students);
        if (students != null) {
            if (chosen.isEmpty()) {
                throw Refused.invalid("students", "Choose at least one student.");
            }
            if (!ids(ofSection(row.section)).containsAll(chosen)) {
                throw Refused.invalid("students", "this student is not of the section");
            }
            requireNobodyLoses(row, chosen);
        }
        entities.createQuery("delete from ChosenStudent c where c.sitting = :sitting")
                .setParameter("sitting", row.id)
                .executeUpdate();
        chosen.forEach(student -> entities.persist(new ChosenStudent(row.school, row.id, student)));
        row.chosen = students != null;
        entities.flush();
    }

    /** It is not taken from anybody who has begun. */
    private void requireNobodyLoses(SittingRow row, Set<UUID> chosen) {
        entities.createQuery(
                        "select distinct p.name, p.id from AttemptRow x join Person p on p.id = x.student"
                                + " where x.sitting = :sitting and p.guestOf is null order by p.name",
                        Begun.class)
                .setParameter("sitting", row.id)
                .getResultStream()
                .filter(b -> !chosen.contains(b.id()))
                .findFirst()
                .ifPresent(b -> {
                    throw Refused.conflict(
                            "begun",
                            b.name() + " has begun already and keeps it. Choose them, too. Nothing was changed.");
                });
    }

    record Begun(String name, UUID id) {}
}
