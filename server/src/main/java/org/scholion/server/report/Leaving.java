package org.scholion.server.report;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.measure.Standing;
import org.scholion.server.key.Edition;
import org.scholion.server.ledger.Attempt;
import org.scholion.server.ledger.Marked;

/**
 * What leaves: a paper with its students, and what has to be said about it.
 *
 * @param attempts each student once, by section and name
 * @param names whether students are called by name; otherwise by their place
 * @param section the name of the one section; null for all
 */
record Leaving(
        String course,
        String title,
        Edition edition,
        List<Marked> attempts,
        Map<UUID, String> sections,
        @Nullable String section,
        Map<UUID, String> numbers,
        Map<UUID, Standing> standings,
        boolean names,
        ZoneId zone,
        Instant made) {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyy-MM-dd", Locale.ROOT);

    LocalDateTime at(Instant moment) {
        return LocalDateTime.ofInstant(moment, zone).withNano(0);
    }

    /** How a student is called, first by what sorts: number, given name and family name. */
    List<String> student(int place) {
        Attempt a = attempts.get(place).attempt();
        return names
                ? List.of(numbers.getOrDefault(a.student(), ""), a.given(), a.family())
                : List.of("student " + (place + 1), "", "");
    }

    String sectionOf(Attempt attempt) {
        return sections.getOrDefault(attempt.section(), "");
    }

    /** A file's name, without signs that a disk refuses. */
    String fileName(String what, String ending) {
        String day = DAY.withZone(zone).format(made);
        String whole = title + " - " + what + (section == null ? "" : " - " + section) + " - edition "
                + edition.number() + " - " + day + "." + ending;
        return whole.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]", "_");
    }
}
