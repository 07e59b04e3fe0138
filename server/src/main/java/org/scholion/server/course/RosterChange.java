package org.scholion.server.course;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.formats.bringin.Known;
import org.scholion.formats.bringin.PersonWords;
import org.scholion.formats.bringin.RosterTable;
import org.scholion.formats.bringin.StudentNumber;
import org.scholion.server.person.People.KnownPerson;
import org.scholion.server.platform.Me;

/**
 * What a roster would change in a course: each line beside those whom the school has already. The same person is taken
 * for the same only where number and names agree; what only looks like it is asked.
 */
final class RosterChange {
    /** What a line comes to. */
    enum What {
        SAME,
        NEW,
        /** In the school already, not in this course. */
        JOINS,
        MOVED,
        RENAMED,
        /** Somebody of the school looks like this person. */
        TWIN,
        /** The number is somebody's of another name. */
        CLASH,
        /** On the roster, and not in the file. */
        LEFT
    }

    /** What a person decides about a line that asks. */
    enum Decision {
        SAME_PERSON,
        SOMEBODY_ELSE,
        SKIP
    }

    /**
     * One line of the change.
     *
     * @param line 0 for somebody whom the file does not name
     * @param person who it is; null for somebody new
     * @param was what is so now, where that changes or speaks against it: a section, a name
     * @param choices what can be decided; empty where nothing is asked
     */
    record RosterRow(
            int line,
            What what,
            String number,
            String name,
            String section,
            @Nullable UUID person,
            String was,
            String why,
            List<Decision> choices,
            @Nullable Decision decided) {
        /** The same line as it may be seen and decided; what may not be decided is not decided. */
        RosterRow seen(What as, @Nullable UUID who, String before, List<Decision> may) {
            Decision still = decided != null && may.contains(decided) ? decided : null;
            return new RosterRow(line, as, number, name, section, who, before, why, may, still);
        }

        boolean comesIn() {
            return what != What.LEFT
                    && (choices.isEmpty() || decided == Decision.SAME_PERSON || decided == Decision.SOMEBODY_ELSE);
        }
    }

    private final Map<String, KnownPerson> byNumber = new HashMap<>();
    private final Map<String, KnownPerson> byBareNumber = new HashMap<>();
    private final Map<String, KnownPerson> byEmail = new HashMap<>();
    private final Map<UUID, Known> onRoster = new HashMap<>();
    private final Map<String, Known> byName = new HashMap<>();
    private final Map<Integer, Decision> decisions;

    RosterChange(Collection<KnownPerson> near, List<Known> roster, Map<Integer, Decision> decisions) {
        this.decisions = decisions;
        for (KnownPerson p : near) {
            byNumber.put(p.number(), p);
            byBareNumber.putIfAbsent(StudentNumber.withoutZeros(p.number()), p);
            byEmail.put(p.email().toLowerCase(Locale.ROOT), p);
        }
        for (Known k : roster) {
            onRoster.put(UUID.fromString(k.id()), k);
            byName.put(nameKey(k.given(), k.family()), k);
        }
    }

    /** A name whichever way round it is written. */
    private static String nameKey(String given, String family) {
        String a = PersonWords.plain(given);
        String b = PersonWords.plain(family);
        return a.compareTo(b) <= 0 ? a + "|" + b : b + "|" + a;
    }

    /** All lines, those that ask first; then whom the file does not name, of the sections that it names. */
    List<RosterRow> of(RosterTable roster) {
        List<RosterRow> rows = new ArrayList<>();
        Set<UUID> named = new HashSet<>();
        Set<String> sections = new HashSet<>();
        for (RosterTable.Line line : roster.students()) {
            RosterRow row = row(line.line(), line.student());
            rows.add(row);
            sections.add(line.student().section());
            if (row.person() != null) {
                named.add(row.person());
            }
        }
        onRoster.forEach((id, k) -> {
            if (sections.contains(k.section()) && !named.contains(id)) {
                rows.add(new RosterRow(0, What.LEFT, k.number(), k.name(), k.section(), id, "", "", List.of(), null));
            }
        });
        return rows;
    }

    private RosterRow row(int line, Known s) {
        KnownPerson owner = byNumber.get(s.number());
        if (owner != null) {
            return ofOwner(line, s, owner);
        }
        KnownPerson twin = byBareNumber.get(StudentNumber.withoutZeros(s.number()));
        if (twin != null && isNear(twin.given(), twin.family(), s)) {
            return ask(line, What.TWIN, s, twin.id(), twin.number(), "number", TWIN);
        }
        KnownPerson address = s.email().isEmpty() ? null : byEmail.get(s.email().toLowerCase(Locale.ROOT));
        if (address != null && address.role() == Me.Role.STUDENT) {
            return ask(line, What.TWIN, s, address.id(), name(address), "email", TWIN);
        }
        Known alike = byName.get(nameKey(s.given(), s.family()));
        return alike != null
                ? ask(line, What.TWIN, s, UUID.fromString(alike.id()), alike.number(), "name", TWIN)
                : plain(line, What.NEW, s, null, "");
    }

    private static final List<Decision> TWIN = List.of(Decision.SAME_PERSON, Decision.SOMEBODY_ELSE, Decision.SKIP);
    private static final List<Decision> SLIP = List.of(Decision.SAME_PERSON, Decision.SKIP);

    private RosterRow ofOwner(int line, Known s, KnownPerson owner) {
        if (owner.role() != Me.Role.STUDENT) {
            return ask(line, What.CLASH, s, owner.id(), name(owner), "staff", List.of(Decision.SKIP));
        }
        boolean given = PersonWords.isSame(owner.given(), s.given());
        boolean family = PersonWords.isSame(owner.family(), s.family());
        if (!given || !family) {
            if (isPart(owner.given(), s.given()) && isPart(owner.family(), s.family())) {
                return plain(line, What.RENAMED, s, owner.id(), name(owner));
            }
            boolean near =
                    given || family || nameKey(owner.given(), owner.family()).equals(nameKey(s.given(), s.family()));
            return ask(line, What.CLASH, s, owner.id(), name(owner), near ? "near" : "other", SLIP);
        }
        Known here = onRoster.get(owner.id());
        if (here == null) {
            return plain(line, What.JOINS, s, owner.id(), "");
        }
        return here.section().equals(s.section())
                ? plain(line, What.SAME, s, owner.id(), "")
                : plain(line, What.MOVED, s, owner.id(), here.section());
    }

    /** One name with a part more or less, as after a marriage: {@code Birch}, {@code Birch-Lowe}. */
    private static boolean isPart(String one, String other) {
        String a = PersonWords.plain(one);
        String b = PersonWords.plain(other);
        return a.equals(b)
                || List.of(a.split("[ \\-]")).contains(b)
                || List.of(b.split("[ \\-]")).contains(a);
    }

    private static boolean isNear(String given, String family, Known s) {
        return nameKey(given, family).equals(nameKey(s.given(), s.family()))
                || PersonWords.isSame(given, s.given())
                || PersonWords.isSame(family, s.family());
    }

    private static String name(KnownPerson p) {
        return p.given() + " " + p.family();
    }

    private static RosterRow plain(int line, What what, Known s, @Nullable UUID person, String was) {
        return new RosterRow(line, what, s.number(), s.name(), s.section(), person, was, "", List.of(), null);
    }

    private RosterRow ask(int line, What what, Known s, UUID person, String was, String why, List<Decision> choices) {
        Decision decided = decisions.get(line);
        return new RosterRow(
                line,
                what,
                s.number(),
                s.name(),
                s.section(),
                person,
                was,
                why,
                choices,
                decided != null && choices.contains(decided) ? decided : null);
    }
}
