package org.scholion.server.course;

import jakarta.persistence.EntityManager;
import jakarta.persistence.LockModeType;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.Known;
import org.scholion.formats.bringin.OneRoster;
import org.scholion.formats.bringin.RosterColumns.RosterColumn;
import org.scholion.formats.bringin.RosterColumns.Use;
import org.scholion.formats.bringin.RosterTable;
import org.scholion.formats.bringin.StudentNumber;
import org.scholion.formats.table.Grid;
import org.scholion.formats.table.Heading;
import org.scholion.formats.table.Table;
import org.scholion.server.access.Access;
import org.scholion.server.course.RosterChange.Decision;
import org.scholion.server.course.RosterChange.RosterRow;
import org.scholion.server.course.RosterChange.What;
import org.scholion.server.person.People;
import org.scholion.server.platform.Deeds;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Brings a roster in from a file: what it would change is shown first, and taken by the same code. */
@Service
public class Rosters {
    private final EntityManager entities;
    private final Courses courses;
    private final OnRoster onRoster;
    private final People people;
    private final HeavyWork heavyWork;
    private final Access access;
    private final Deeds deeds;

    Rosters(
            EntityManager entities,
            Courses courses,
            OnRoster onRoster,
            People people,
            HeavyWork heavyWork,
            Access access,
            Deeds deeds) {
        this.entities = entities;
        this.courses = courses;
        this.onRoster = onRoster;
        this.people = people;
        this.heavyWork = heavyWork;
        this.access = access;
        this.deeds = deeds;
    }

    /**
     * What a person says about a roster file.
     *
     * @param how encoding, separator and sheet, where they were chosen
     * @param columns what columns are, by place
     * @param section for files that name none
     * @param only the sections of the file that are wanted; empty for all
     * @param decisions by line, about the lines that ask
     * @param leave whether students whom the file does not name are taken off the rosters of its sections
     */
    public record RosterAsked(
            Grid.Reading how,
            Map<Integer, Use> columns,
            String section,
            Set<String> only,
            Map<Integer, Decision> decisions,
            boolean leave) {
        public static final RosterAsked NOTHING =
                new RosterAsked(Grid.Reading.NOTHING, Map.of(), "", Set.of(), Map.of(), false);

        public RosterAsked {
            Objects.requireNonNull(how);
            Objects.requireNonNull(section);
            columns = Map.copyOf(columns);
            only = Set.copyOf(only);
            decisions = Map.copyOf(decisions);
        }
    }

    /**
     * What a roster would change, or has changed.
     *
     * @param how in words, how the file was read
     * @param fileSections the sections that the file names
     * @param rows without those that stay as they are
     * @param asSame how many stay as they are
     * @param comeIn how many lines come in: new, moved, renamed, joined or the same
     */
    public record RosterEffect(
            String how,
            String encoding,
            List<String> sheets,
            List<String> notes,
            List<RosterColumn> columns,
            List<String> fileSections,
            List<RosterRow> rows,
            int asSame,
            int comeIn,
            List<CellFault> faults) {}

    /** A file as it was read. */
    public record RosterFile(Grid grid, Table table, RosterTable roster) {}

    /** The file as it is understood, before anything is looked up. */
    public RosterFile read(Me me, UUID course, Callable<byte[]> file, RosterAsked asked) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        return heavyWork.inTurn(me, () -> {
            byte[] bytes = file.call();
            Grid packed = OneRoster.read(bytes);
            Grid grid = packed == null ? Grid.read(bytes, asked.how()) : packed;
            Table table = Heading.find(grid, cell -> false).table(grid);
            return new RosterFile(grid, table, RosterTable.read(table, asked.columns(), asked.section(), asked.only()));
        });
    }

    @Transactional(readOnly = true)
    public RosterEffect preview(Me me, UUID course, RosterFile file, RosterAsked asked) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        return effect(file, rows(me, course, file.roster(), asked));
    }

    /** Takes what was shown, all of it or nothing; lines that ask and were not decided stay out. */
    @Transactional
    public RosterEffect take(Me me, UUID course, RosterFile file, RosterAsked asked) {
        access.require(me, Access.Action.MANAGE_COURSE, course);
        entities.find(Course.class, course, LockModeType.PESSIMISTIC_WRITE);
        if (file.roster().students().isEmpty()) {
            throw Refused.invalid(
                    "file",
                    file.roster().faults().isEmpty()
                            ? "no row of the file is a student"
                            : file.roster().faults().get(0).message());
        }
        List<RosterRow> rows = rows(me, course, file.roster(), asked);
        RosterEffect effect = effect(file, rows);
        Map<Integer, Known> students = new HashMap<>();
        file.roster().students().forEach(l -> students.put(l.line(), l.student()));
        Map<String, UUID> sections = sections(course, rows);
        addNew(me, rows, students, sections);
        for (RosterRow row : rows) {
            if (row.comesIn() && row.person() != null && row.decided() != Decision.SOMEBODY_ELSE) {
                settle(course, row, Objects.requireNonNull(students.get(row.line())), sections);
            } else if (row.what() == What.LEFT && asked.leave()) {
                onRoster.leave(course, Objects.requireNonNull(row.person()));
            }
        }
        deeds.note(me, Deeds.What.ROSTER_TAKEN, course, effect.comeIn() + " lines");
        return effect;
    }

    private void addNew(Me me, List<RosterRow> rows, Map<Integer, Known> students, Map<String, UUID> sections) {
        List<RosterRow> added = rows.stream()
                .filter(r -> r.what() == What.NEW || r.decided() == Decision.SOMEBODY_ELSE)
                .toList();
        List<People.NewStudent> made = added.stream()
                .map(r -> students.get(r.line()))
                .map(k -> new People.NewStudent(
                        k.given(), k.family(), k.number(), k.email().isBlank() ? null : k.email()))
                .toList();
        List<UUID> ids = people.addStudents(me.school(), made);
        for (int i = 0; i < ids.size(); i++) {
            UUID section = Objects.requireNonNull(sections.get(added.get(i).section()));
            entities.persist(new Enrolment(section, ids.get(i)));
        }
        entities.flush();
    }

    /** Somebody of the school: onto the roster, to another section, under another name. */
    private void settle(UUID course, RosterRow row, Known now, Map<String, UUID> sections) {
        if (row.what() == What.SAME) {
            return;
        }
        UUID person = Objects.requireNonNull(row.person());
        if (row.what() == What.RENAMED || row.what() == What.CLASH) {
            people.rename(person, now.given(), now.family());
        }
        onRoster.place(course, person, Objects.requireNonNull(sections.get(row.section())));
    }

    private Map<String, UUID> sections(UUID course, List<RosterRow> rows) {
        Map<String, UUID> sections = new LinkedHashMap<>();
        rows.stream()
                .filter(RosterRow::comesIn)
                .map(RosterRow::section)
                .distinct()
                .forEach(s -> sections.put(s, courses.section(course, s, null)));
        return sections;
    }

    /** Whose number it is is told to those who teach them and to administrators; a stranger's name is not. */
    private List<RosterRow> rows(Me me, UUID course, RosterTable roster, RosterAsked asked) {
        Set<String> numbers = roster.students().stream()
                .map(l -> StudentNumber.withoutZeros(l.student().number()))
                .collect(Collectors.toSet());
        Set<String> emails = roster.students().stream()
                .map(l -> l.student().email().toLowerCase(Locale.ROOT))
                .filter(e -> !e.isEmpty())
                .collect(Collectors.toSet());
        List<Known> here = courses.known(course);
        Set<UUID> mine = new HashSet<>(courses.taughtBy(me));
        List<RosterRow> rows = new ArrayList<>();
        for (RosterRow row :
                new RosterChange(people.near(me.school(), numbers, emails), here, asked.decisions()).of(roster)) {
            boolean known = row.person() == null || me.is(Me.Role.ADMIN) || mine.contains(row.person());
            rows.add(known || row.what() == What.JOINS ? row : veiled(row));
        }
        return rows;
    }

    /** Somebody whom one does not teach is neither named nor renamed, nor taken for somebody who is only like them. */
    private static RosterRow veiled(RosterRow row) {
        boolean twin = row.what() == What.TWIN;
        return row.seen(
                twin ? What.TWIN : What.CLASH,
                row.person(),
                "",
                twin ? List.of(Decision.SOMEBODY_ELSE, Decision.SKIP) : List.of(Decision.SKIP));
    }

    private static RosterEffect effect(RosterFile file, List<RosterRow> rows) {
        List<RosterRow> changing = rows.stream()
                .filter(r -> r.what() != What.SAME)
                .sorted(java.util.Comparator.comparing(
                        (RosterRow r) -> r.choices().isEmpty()))
                .toList();
        return new RosterEffect(
                file.grid().how(),
                file.grid().encoding(),
                file.grid().sheets(),
                file.grid().notes(),
                file.roster().columns(),
                RosterTable.sections(file.table(), file.roster().columns()),
                changing.stream().map(Rosters::withoutId).toList(),
                rows.size() - changing.size(),
                (int) rows.stream().filter(RosterRow::comesIn).count(),
                file.roster().faults());
    }

    /** The page has no use for ids of people whom it may not know. */
    private static RosterRow withoutId(RosterRow row) {
        return row.seen(row.what(), null, row.was(), row.choices());
    }
}
