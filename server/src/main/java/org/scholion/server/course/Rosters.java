package org.scholion.server.course;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.Known;
import org.scholion.formats.bringin.RosterTable;
import org.scholion.formats.json.Fault;
import org.scholion.formats.table.Table;
import org.scholion.server.access.Access;
import org.scholion.server.person.People;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Brings a roster in from a table: shown first, then taken whole or not at all. */
@Service
public class Rosters {
    private final Courses courses;
    private final People people;
    private final Access access;

    Rosters(Courses courses, People people, Access access) {
        this.courses = courses;
        this.people = people;
        this.access = access;
    }

    /** What a roster file would bring, or has brought. */
    public record RosterEffect(int students, int isNew, List<String> sections, List<CellFault> faults) {}

    @Transactional(readOnly = true)
    public RosterEffect preview(Me me, UUID course, byte[] file) {
        access.require(me, Access.Action.SEE_COURSE, course);
        return effect(me, RosterTable.read(Table.read(file)));
    }

    @Transactional
    public RosterEffect take(Me me, UUID course, byte[] file) {
        access.require(me, Access.Action.SEE_COURSE, course);
        RosterTable roster = RosterTable.read(Table.read(file));
        RosterEffect effect = effect(me, roster);
        if (!effect.faults().isEmpty()) {
            throw Refused.invalid(effect.faults().stream()
                    .map(f -> new Fault("line " + f.line() + ", " + f.column(), f.message()))
                    .toList());
        }
        for (RosterTable.Line line : roster.students()) {
            Known s = line.student();
            Me student = people.byNumber(me.school(), s.number()).orElseGet(() -> add(me, s));
            courses.enrol(courses.section(course, s.section(), null), student.id());
        }
        return effect;
    }

    private Me add(Me me, Known s) {
        String email = s.email().isBlank() ? null : s.email();
        String username = email == null ? s.number() : email;
        return people.add(
                me.school(),
                new People.NewPerson(Me.Role.STUDENT, s.given(), s.family(), s.number(), email, username),
                null);
    }

    private RosterEffect effect(Me me, RosterTable roster) {
        List<CellFault> faults = new ArrayList<>(roster.faults());
        int added = 0;
        for (RosterTable.Line line : roster.students()) {
            Optional<Me> known = people.byNumber(me.school(), line.student().number());
            added += known.isEmpty() ? 1 : 0;
            known.filter(k -> !k.is(Me.Role.STUDENT)
                            || !k.family().equals(line.student().family()))
                    .ifPresent(k -> faults.add(new CellFault(
                            line.line(),
                            "number",
                            "number " + line.student().number() + " belongs to " + k.name() + " in this school")));
        }
        List<String> sections = roster.students().stream()
                .map(l -> l.student().section())
                .distinct()
                .sorted()
                .toList();
        return new RosterEffect(roster.students().size(), added, sections, faults);
    }
}
