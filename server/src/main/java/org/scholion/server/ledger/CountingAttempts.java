package org.scholion.server.ledger;

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
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Which of a student's attempts at one assessment counts, by the rule of the paper: whoever is in two sections, or has
 * two attempts, is one student everywhere.
 */
@Component
class CountingAttempts {
    private final JdbcClient db;

    CountingAttempts(JdbcClient db) {
        this.db = db;
    }

    /** Decides it again for the students of these attempts; most have one, and then nothing is to be decided. */
    void decide(Edition edition, Collection<Attempt> changed) {
        Set<UUID> students = changed.stream().map(Attempt::student).collect(Collectors.toSet());
        if (students.isEmpty()) {
            return;
        }
        Map<UUID, List<Standings.Standing>> several = new LinkedHashMap<>();
        db.sql("""
                        select x.student_id, s.* from attempt x
                        join standing s on s.school_id = x.school_id and s.attempt_id = x.id
                        where x.assessment_id = :assessment and x.student_id in (
                          select y.student_id from attempt y
                          where y.assessment_id = :assessment and y.student_id in (:students)
                          group by y.student_id having count(*) > 1)
                        order by x.student_id, x.started_at, x.id""")
                .param("assessment", edition.assessmentId())
                .param("students", students)
                .query((java.sql.ResultSet row) -> {
                    several.computeIfAbsent(row.getObject("student_id", UUID.class), s -> new ArrayList<>())
                            .add(Standings.stored(row));
                });
        Grading grading = edition.assessment().grading();
        for (List<Standings.Standing> own : several.values()) {
            int counting = Outcomes.result(grading, outcomes(own)).counting();
            for (int i = 0; i < own.size(); i++) {
                db.sql("update standing s set counts = ? from attempt x where x.id = ? and s.school_id = x.school_id"
                                + " and s.attempt_id = x.id")
                        .params(counting < 0 || counting == i, own.get(i).attempt())
                        .update();
            }
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
