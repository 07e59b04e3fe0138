package org.scholion.server.read;

import jakarta.persistence.EntityManager;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.scholion.core.item.OpenItem;
import org.scholion.server.access.Access;
import org.scholion.server.course.Courses;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.Editions;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Readers who read some questions, some sections or a share of the answers, and are shown no others. */
@Service
public class ReaderScopes {
    private static final int MOST_PARTS = 20;

    private final EntityManager entities;
    private final Access access;
    private final Assessments assessments;
    private final Courses courses;
    private final Editions editions;

    ReaderScopes(EntityManager entities, Access access, Assessments assessments, Courses courses, Editions editions) {
        this.entities = entities;
        this.access = access;
        this.assessments = assessments;
        this.courses = courses;
        this.editions = editions;
    }

    /**
     * Which answers somebody reads.
     *
     * @param items those questions; none for all
     * @param sections the answers of those sections; none for all
     * @param part which of so many about equal {@code parts} of the answers, from 1
     */
    public record Scope(List<String> items, List<UUID> sections, int part, int parts) {
        static final Scope ALL = new Scope(List.of(), List.of(), 1, 1);

        public Scope {
            items = Objects.requireNonNullElse(items, List.of());
            sections = Objects.requireNonNullElse(sections, List.of());
        }

        boolean holds(String item) {
            return items.isEmpty() || items.contains(item);
        }

        boolean holds(String item, Attempt attempt) {
            return holds(item)
                    && (sections.isEmpty() || sections.contains(attempt.section()))
                    && isInPart(attempt.id());
        }

        /** Which part an answer is in follows from the attempt alone, so that it never changes. */
        private boolean isInPart(UUID attempt) {
            return parts == 1 || Math.floorMod(Long.hashCode(attempt.getLeastSignificantBits()), parts) == part - 1;
        }
    }

    /** A reader of the course, and what of this assessment they read. */
    public record ReaderView(UUID person, String name, Scope scope) {}

    /** What of an assessment somebody reads; its teachers read all of it. */
    @Transactional(readOnly = true)
    public Scope of(Me me, UUID assessment) {
        ReaderScopeRow row = entities.find(ReaderScopeRow.class, new ReaderScopeRow.Key(assessment, me.id()));
        return row == null || access.may(me, Access.Action.WORK_ON_ASSESSMENT, assessment) ? Scope.ALL : scope(row);
    }

    /** The assessments of which somebody was given some answers only. */
    @Transactional(readOnly = true)
    public Set<UUID> narrowed(Me me) {
        return Set.copyOf(
                entities.createQuery("select r.assessment from ReaderScopeRow r where r.person = :me", UUID.class)
                        .setParameter("me", me.id())
                        .getResultList());
    }

    /** @throws Refused where somebody does not read this question at all */
    void requireItem(Me me, UUID assessment, String item) {
        if (!of(me, assessment).holds(item)) {
            throw Refused.notFound();
        }
    }

    private static Scope scope(ReaderScopeRow row) {
        return new Scope(List.of(row.items), List.of(row.sections), row.part, row.parts);
    }

    /** Who reads beside the teachers, by name. */
    @Transactional(readOnly = true)
    public List<ReaderView> readers(Me me, UUID assessment) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        Map<UUID, Scope> scopes = new HashMap<>();
        entities.createQuery("from ReaderScopeRow where assessment = :assessment", ReaderScopeRow.class)
                .setParameter("assessment", assessment)
                .getResultList()
                .forEach(row -> scopes.put(row.person, scope(row)));
        return courses.readers(assessments.facts(assessment).course()).stream()
                .map(r -> new ReaderView(r.id(), r.name(), scopes.getOrDefault(r.id(), Scope.ALL)))
                .toList();
    }

    @Transactional
    public List<ReaderView> plan(Me me, UUID assessment, UUID person, Scope scope) {
        List<ReaderView> readers = readers(me, assessment);
        if (readers.stream().noneMatch(r -> r.person().equals(person))) {
            throw Refused.invalid("person", "This colleague reads nothing in this course. Add a reader to it first.");
        }
        Set<String> open = Set.copyOf(editions.require(assessment).items().stream()
                .filter(OpenItem.class::isInstance)
                .map(i -> i.id())
                .toList());
        if (!open.containsAll(scope.items())) {
            throw Refused.invalid("items", "Only open questions of this assessment are read.");
        }
        Set<UUID> sections = courses.sections(assessments.facts(assessment).course()).stream()
                .map(Courses.SectionLine::id)
                .collect(Collectors.toSet());
        if (!sections.containsAll(scope.sections())) {
            throw Refused.invalid("sections", "This section is not in the course.");
        }
        if (scope.parts() < 1 || scope.parts() > MOST_PARTS || scope.part() < 1 || scope.part() > scope.parts()) {
            throw Refused.invalid("part", "A share is one of 1 to " + MOST_PARTS + " parts.");
        }
        ReaderScopeRow.Key key = new ReaderScopeRow.Key(assessment, person);
        ReaderScopeRow row = entities.find(ReaderScopeRow.class, key);
        if (row == null) {
            row = fill(new ReaderScopeRow(assessment, person), scope);
            entities.persist(row);
        } else {
            fill(row, scope);
        }
        entities.flush();
        return readers(me, assessment);
    }

    private static ReaderScopeRow fill(ReaderScopeRow row, Scope scope) {
        row.items = scope.items().toArray(new String[0]);
        row.sections = scope.sections().toArray(new UUID[0]);
        row.part = scope.part();
        row.parts = scope.parts();
        return row;
    }
}
