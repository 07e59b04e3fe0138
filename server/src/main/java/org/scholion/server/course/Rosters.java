package org.scholion.server.course;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import org.scholion.formats.bringin.BringIn.CellFault;
import org.scholion.formats.bringin.Known;
import org.scholion.formats.bringin.PersonWords;
import org.scholion.formats.bringin.RosterTable;
import org.scholion.formats.json.Fault;
import org.scholion.formats.table.Table;
import org.scholion.server.access.Access;
import org.scholion.server.person.People;
import org.scholion.server.platform.HeavyWork;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Brings a roster in from a table: shown first, then taken whole or not at all. */
@Service
public class Rosters {
    private final Courses courses;
    private final People people;
    private final HeavyWork heavyWork;
    private final Access access;

    Rosters(Courses courses, People people, HeavyWork heavyWork, Access access) {
        this.courses = courses;
        this.people = people;
        this.heavyWork = heavyWork;
        this.access = access;
    }

    /** What a roster file would bring, or has brought. */
    public record RosterEffect(int students, int isNew, List<String> sections, List<CellFault> faults) {}

    /** The file as it is understood, before anything is looked up. */
    public RosterTable read(Me me, UUID course, Callable<byte[]> file) {
        access.require(me, Access.Action.SEE_COURSE, course);
        return heavyWork.inTurn(me, () -> RosterTable.read(Table.read(file.call())));
    }

    @Transactional(readOnly = true)
    public RosterEffect preview(Me me, UUID course, RosterTable roster) {
        access.require(me, Access.Action.SEE_COURSE, course);
        return effect(me, roster, known(me, roster));
    }

    @Transactional
    public RosterEffect take(Me me, UUID course, RosterTable roster) {
        access.require(me, Access.Action.SEE_COURSE, course);
        Map<String, Me> known = known(me, roster);
        RosterEffect effect = effect(me, roster, known);
        if (!effect.faults().isEmpty()) {
            throw Refused.invalid(effect.faults().stream()
                    .map(f -> new Fault("line " + f.line() + ", " + f.column(), f.message()))
                    .toList());
        }
        for (RosterTable.Line line : roster.students()) {
            Known s = line.student();
            Me student = known.get(s.number());
            UUID id = student == null ? add(me, s).id() : student.id();
            courses.enrol(courses.section(course, s.section(), null), id);
        }
        return effect;
    }

    private Me add(Me me, Known s) {
        return people.addStudent(
                me.school(), s.given(), s.family(), s.number(), s.email().isBlank() ? null : s.email());
    }

    private Map<String, Me> known(Me me, RosterTable roster) {
        return people.byNumbers(
                me.school(),
                roster.students().stream().map(l -> l.student().number()).toList());
    }

    /** Somebody who is here already is taken for the same person only where number and both names agree. */
    private RosterEffect effect(Me me, RosterTable roster, Map<String, Me> known) {
        List<CellFault> faults = new ArrayList<>(roster.faults());
        int added = 0;
        for (RosterTable.Line line : roster.students()) {
            Known student = line.student();
            Me found = known.get(student.number());
            if (found == null) {
                added++;
            } else if (!found.is(Me.Role.STUDENT)
                    || !PersonWords.isSame(found.family(), student.family())
                    || !PersonWords.isSame(found.given(), student.given())) {
                faults.add(new CellFault(line.line(), "number", otherwise(me, student.number(), found)));
            }
        }
        List<String> sections = roster.students().stream()
                .map(l -> l.student().section())
                .distinct()
                .sorted()
                .toList();
        return new RosterEffect(roster.students().size(), added, sections, faults);
    }

    /** Whose number it is is told only to those who teach them. */
    private String otherwise(Me me, String number, Me found) {
        return courses.teaches(me, found.id())
                ? "number " + number + " belongs to " + found.name() + " in your courses"
                : "number " + number
                        + " is in use in this school under another name; check the number and both names, or ask your"
                        + " administrator";
    }
}
