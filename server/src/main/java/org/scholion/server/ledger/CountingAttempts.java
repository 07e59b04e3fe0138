package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.total.AttemptTotal;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;
import org.scholion.core.total.Outcomes;
import org.scholion.server.key.Edition;
import org.springframework.stereotype.Component;

/**
 * Which of a student's attempts at one assessment counts, by the rule of the paper: whoever is in two sections, or has
 * two attempts, is one student everywhere.
 */
@Component
class CountingAttempts {
    private final EntityManager entities;

    CountingAttempts(EntityManager entities) {
        this.entities = entities;
    }

    /** Decides it again for the students of these attempts; most have one, and then nothing is to be decided. */
    void decide(Edition edition, Collection<Attempt> changed) {
        Set<UUID> students = changed.stream().map(Attempt::student).collect(Collectors.toSet());
        if (students.isEmpty()) {
            return;
        }
        List<Own> rows = entities.createQuery("""
                        select x.student, s.counts, s.attempt, s.score, s.possible, s.percent, s.band, s.passed,
                               s.provisional, s.awaitsCurve
                        from AttemptRow x join StandingRow s on s.school = x.school and s.attempt = x.id
                        where x.assessment = :assessment and x.student in (
                          select y.student from AttemptRow y
                          where y.assessment = :assessment and y.student in (:students)
                          group by y.student having count(*) > 1)
                        order by x.student, x.startedAt, x.id""", Own.class)
                .setParameter("assessment", edition.assessmentId())
                .setParameter("students", students)
                .getResultList();
        Map<UUID, List<Own>> several = new LinkedHashMap<>();
        rows.forEach(r ->
                several.computeIfAbsent(r.student(), s -> new ArrayList<>()).add(r));
        Grading grading = edition.assessment().grading();
        Map<Boolean, List<UUID>> other = Map.of(true, new ArrayList<>(), false, new ArrayList<>());
        for (List<Own> own : several.values()) {
            int counting = Outcomes.result(
                            grading, outcomes(own.stream().map(Own::standing).toList()))
                    .counting();
            for (int i = 0; i < own.size(); i++) {
                boolean counts = counting < 0 || counting == i;
                if (counts != own.get(i).counts()) {
                    other.getOrDefault(counts, List.of()).add(own.get(i).attempt());
                }
            }
        }
        other.forEach(this::set);
    }

    private void set(boolean counts, List<UUID> attempts) {
        if (!attempts.isEmpty()) {
            entities.createQuery("update StandingRow s set s.counts = :counts where s.attempt in (:attempts)"
                            + " and s.school in (select x.school from AttemptRow x where x.id in (:attempts))")
                    .setParameter("counts", counts)
                    .setParameter("attempts", attempts)
                    .executeUpdate();
        }
    }

    /** One of several attempts of a student, and what it stands at before any curve. */
    record Own(
            UUID student,
            boolean counts,
            UUID attempt,
            String score,
            String possible,
            @Nullable String percent,
            @Nullable String band,
            @Nullable Boolean passed,
            boolean provisional,
            boolean awaitsCurve) {
        Standings.Standing standing() {
            return new Standings.Standing(attempt, score, possible, percent, band, passed, provisional, awaitsCurve);
        }
    }

    /**
     * What a student's attempts, in order of time, come to together: the one that counts, or where all do, their mean.
     */
    static Standings.Standing together(Grading grading, List<Standings.Standing> own) {
        Outcomes.Result result = Outcomes.result(grading, outcomes(own));
        Standings.Standing standing = own.get(result.standing(own.size()));
        return result.counting() >= 0
                ? standing
                : new Standings.Standing(
                        standing.attempt(),
                        standing.score(),
                        standing.possible(),
                        result.percent() == null ? null : result.percent().toFixed(grading.percentDigits()),
                        result.band() == null ? null : result.band().label(),
                        result.passed(),
                        result.provisional(),
                        standing.awaitsCurve());
    }

    private static List<Outcome> outcomes(List<Standings.Standing> own) {
        return own.stream()
                .map(s -> {
                    @Nullable Fraction percent = s.percent() == null ? null : Fraction.exactly(s.percent());
                    AttemptTotal total = new AttemptTotal(
                            List.of(),
                            Fraction.exactly(s.score()),
                            Fraction.exactly(s.possible()),
                            percent,
                            s.provisional());
                    return new Outcome(total, percent, percent, null, s.passed());
                })
                .toList();
    }
}
