package org.scholion.server.collect;

import de.siegmar.fastcsv.writer.CsvWriter;
import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.item.ChoiceItem;
import org.scholion.core.item.Item;
import org.scholion.core.item.PassageItem;
import org.scholion.formats.bringin.Known;
import org.scholion.formats.json.Texts;
import org.scholion.server.access.Access;
import org.scholion.server.course.Courses;
import org.scholion.server.key.Assessments;
import org.scholion.server.key.PaperItems;
import org.scholion.server.ledger.Attempts;
import org.scholion.server.platform.Events;
import org.scholion.server.platform.Lengths;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Answers and points typed from paper, a row a student, saved cell by cell. Each typist has rows of their own, so that
 * two can type the same pile and see where they differ. What is typed comes in like a file.
 */
@Service
public class TypedByHand {
    private static final int LONGEST_CELL = 2_000;
    private static final int MOST_CELLS = 400;
    private static final int LONGEST_ITEM = 100;

    private final EntityManager entities;
    private final Assessments assessments;
    private final PaperItems paper;
    private final Courses courses;
    private final Attempts attempts;
    private final Access access;
    private final Events events;
    private final Clock clock;

    TypedByHand(
            EntityManager entities,
            Assessments assessments,
            PaperItems paper,
            Courses courses,
            Attempts attempts,
            Access access,
            Events events,
            Clock clock) {
        this.entities = entities;
        this.assessments = assessments;
        this.paper = paper;
        this.courses = courses;
        this.attempts = attempts;
        this.access = access;
        this.events = events;
        this.clock = clock;
    }

    /**
     * A column of the grid.
     *
     * @param options how many options a choice has, which are typed by their letters; 0 for other kinds
     * @param several whether several of them can be chosen
     */
    public record TypedQuestion(
            String item, int number, String prompt, String kind, String points, int options, boolean several) {}

    /**
     * A row of the grid.
     *
     * @param cells what I have typed, by item
     * @param in whether answers of theirs are in already
     */
    public record TypedStudent(UUID student, String name, String section, Map<String, String> cells, boolean in) {}

    /** Somebody who types here, and how many rows. */
    public record Typist(String name, boolean me, int rows) {}

    /**
     * A cell in which people differ.
     *
     * @param mine what I have; null where I have not typed this row so far
     * @param others what the others have, as it goes back when I say that mine stays
     */
    public record TypedDifference(
            UUID student, String name, String item, int number, List<TypedValue> values, boolean mine, String others) {}

    /** What one of them has typed. */
    public record TypedValue(String name, boolean me, String value) {}

    /** Everything that is typed, as one of the typists sees it. */
    public record TypedView(
            List<TypedQuestion> questions,
            List<TypedStudent> students,
            List<Typist> typists,
            List<TypedDifference> differences) {}

    /**
     * Cells of a row that change; others stay as they are.
     *
     * @param cells by item; an empty one is taken away
     * @param stays by item, what others have typed there, where mine stays all the same
     */
    public record CellsTyped(Map<String, String> cells, Map<String, String> stays) {
        public CellsTyped {
            cells = Map.copyOf(cells);
            stays = Map.copyOf(stays);
        }
    }

    /** The acknowledgement: it is sent when the cells are safe. */
    public record TypedSaved(Instant savedAt) {}

    private record Line(UUID student, UUID typist, String name, Map<String, String> cells, Map<String, String> stays) {}

    @Transactional(readOnly = true)
    public TypedView of(Me me, UUID assessment, @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        List<Item> items = asked(assessment);
        List<String> ids = items.stream().map(Item::id).toList();
        Map<UUID, List<Compared.Typed>> rows = rows(assessment);
        Set<UUID> in = new HashSet<>();
        attempts.of(assessment, null).forEach(a -> in.add(a.student()));
        List<TypedStudent> students = new ArrayList<>();
        List<TypedDifference> differences = new ArrayList<>();
        Map<UUID, String> names = new LinkedHashMap<>();
        Map<UUID, Integer> howMany = new HashMap<>();
        for (Known k : roster(assessment, section)) {
            UUID student = UUID.fromString(k.id());
            List<Compared.Typed> theirs = rows.getOrDefault(student, List.of());
            Map<String, String> mine = theirs.stream()
                    .filter(r -> r.typist().equals(me.id()))
                    .findFirst()
                    .map(Compared.Typed::cells)
                    .orElse(Map.of());
            String name = k.family() + ", " + k.given();
            students.add(new TypedStudent(student, name, k.section(), mine, in.contains(student)));
            theirs.stream().filter(r -> !r.cells().isEmpty()).forEach(r -> {
                names.put(r.typist(), r.name());
                howMany.merge(r.typist(), 1, Integer::sum);
            });
            differences.addAll(differences(me, student, name, ids, theirs));
        }
        return new TypedView(
                questions(items),
                students,
                names.entrySet().stream()
                        .map(n -> new Typist(
                                n.getValue(),
                                n.getKey().equals(me.id()),
                                Objects.requireNonNull(howMany.get(n.getKey()))))
                        .toList(),
                differences);
    }

    private static List<TypedDifference> differences(
            Me me, UUID student, String name, List<String> items, List<Compared.Typed> rows) {
        Compared compared = new Compared(items, rows);
        List<TypedDifference> all = new ArrayList<>();
        compared.differences()
                .forEach((item, values) -> all.add(new TypedDifference(
                        student,
                        name,
                        item,
                        items.indexOf(item) + 1,
                        values.stream()
                                .map(v -> new TypedValue(v.name(), v.typist().equals(me.id()), v.value()))
                                .toList(),
                        values.stream().anyMatch(v -> v.typist().equals(me.id())),
                        compared.othersThan(me.id(), item))));
        return all;
    }

    private static List<TypedQuestion> questions(List<Item> items) {
        List<TypedQuestion> questions = new ArrayList<>();
        for (Item item : items) {
            questions.add(new TypedQuestion(
                    item.id(),
                    questions.size() + 1,
                    item.head().prompt(),
                    item.kind(),
                    item.points().toExact(),
                    item instanceof ChoiceItem c ? c.options().size() : 0,
                    item instanceof ChoiceItem c && c.max() > 1));
        }
        return questions;
    }

    /** Saves cells of one's own row. */
    @Transactional
    public TypedSaved save(Me me, UUID assessment, UUID student, CellsTyped typed) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        if (!courses.isOnRoster(assessments.facts(assessment).course(), student)) {
            throw Refused.notFound();
        }
        TypedRow row = own(me, assessment, student);
        row.cells = changed(row.cells, typed.cells(), "cells");
        row.stays = changed(row.stays, typed.stays(), "stays");
        row.savedAt = clock.instant();
        events.saySoon("assessment:" + assessment);
        return new TypedSaved(row.savedAt);
    }

    /** One's own row, held; an empty one is made first, so that two windows at once find the same. */
    private TypedRow own(Me me, UUID assessment, UUID student) {
        entities.createNativeQuery("""
                        insert into typed_row (assessment_id, student_id, typist_id, school_id, cells, stays, saved_at)
                        values (:assessment, :student, :me, :school, '{}', '{}', :now) on conflict do nothing""")
                .setParameter("assessment", assessment)
                .setParameter("student", student)
                .setParameter("me", me.id())
                .setParameter("school", me.school())
                .setParameter("now", clock.instant())
                .executeUpdate();
        return entities.find(
                TypedRow.class, new TypedRow.Key(assessment, student, me.id()), LockModeType.PESSIMISTIC_WRITE);
    }

    private static Map<String, String> changed(Map<String, String> before, Map<String, String> some, String field) {
        Map<String, String> after = new HashMap<>(before);
        some.forEach((item, cell) -> {
            String text =
                    Texts.printable(Lengths.atMost(field, cell, LONGEST_CELL)).strip();
            if (text.isEmpty()) {
                after.remove(item);
            } else {
                after.put(Lengths.atMost(field, item, LONGEST_ITEM), text);
            }
        });
        if (after.size() > MOST_CELLS) {
            throw Refused.invalid(field, "a row has at most " + MOST_CELLS + " cells");
        }
        return after;
    }

    /**
     * What is typed, as a table of the form in which files come in.
     *
     * @throws Refused while people differ in some cell
     */
    @Transactional(readOnly = true)
    public String table(Me me, UUID assessment, @Nullable UUID section) {
        access.require(me, Access.Action.WORK_ON_ASSESSMENT, assessment);
        List<String> items = asked(assessment).stream().map(Item::id).toList();
        Map<UUID, List<Compared.Typed>> rows = rows(assessment);
        List<String> heading = new ArrayList<>(List.of("number", "e-mail", "name"));
        heading.addAll(items);
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().build(out)) {
            csv.writeRecord(heading);
            for (Known k : roster(assessment, section)) {
                Compared compared = new Compared(items, rows.getOrDefault(UUID.fromString(k.id()), List.of()));
                if (!compared.differences().isEmpty()) {
                    throw Refused.conflict(
                            "typed-differently",
                            "Two people typed " + k.given() + " " + k.family()
                                    + " differently. Decide which is right; nothing was brought in.");
                }
                if (!compared.isEmpty()) {
                    Map<String, String> cells = compared.agreed();
                    List<String> line = new ArrayList<>(List.of(k.number(), k.email(), k.name()));
                    items.forEach(i -> line.add(cells.getOrDefault(i, "")));
                    csv.writeRecord(line);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private List<Item> asked(UUID assessment) {
        return paper.of(assessment).stream()
                .filter(i -> !(i instanceof PassageItem))
                .toList();
    }

    private List<Known> roster(UUID assessment, @Nullable UUID section) {
        UUID course = assessments.facts(assessment).course();
        String only = courses.sections(course).stream()
                .filter(s -> s.id().equals(section))
                .map(Courses.SectionLine::name)
                .findFirst()
                .orElse(null);
        Set<String> seen = new HashSet<>();
        return courses.known(course).stream()
                .filter(k -> only == null || k.section().equals(only))
                .filter(k -> seen.add(k.id()))
                .toList();
    }

    private Map<UUID, List<Compared.Typed>> rows(UUID assessment) {
        Map<UUID, List<Compared.Typed>> rows = new HashMap<>();
        entities.createQuery("""
                        select r.student, r.typist, p.name, r.cells, r.stays from TypedRow r
                        join Person p on p.id = r.typist where r.assessment = :assessment order by p.name""", Line.class)
                .setParameter("assessment", assessment)
                .getResultList()
                .forEach(l -> rows.computeIfAbsent(l.student(), s -> new ArrayList<>())
                        .add(new Compared.Typed(l.typist(), l.name(), l.cells(), l.stays())));
        return rows;
    }
}
