package org.scholion.server.handback;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.standard.Attainment;
import org.scholion.core.standard.Evidence;
import org.scholion.core.standard.Framework;
import org.scholion.formats.assessment.FrameworkReader;
import org.scholion.formats.json.Cursor;
import org.scholion.server.platform.Me;
import org.scholion.server.standard.AttainmentRules;
import org.scholion.server.standard.Frameworks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * What a student has shown over a course, made of what was handed back to them and nothing else: a mark that they have
 * not got yet, or a standard that was not to be seen, is not in it.
 */
@Service
class WhatICanDo {
    private final EntityManager entities;
    private final Frameworks frameworks;
    private final AttainmentRules rules;

    WhatICanDo(EntityManager entities, Frameworks frameworks, AttainmentRules rules) {
        this.entities = entities;
        this.frameworks = frameworks;
        this.rules = rules;
    }

    /**
     * A standard.
     *
     * @param percent null where nothing was shown yet
     * @param low from 0 to 1, as are {@code place} and {@code high}
     * @param level in the school's words; null where there is too little
     * @param pieces how many questions or parts of questions it rests on
     * @param more how many more would be needed for a level; 0 where there is one
     */
    record StandardShown(
            String code,
            String text,
            int depth,
            @Nullable String percent,
            double place,
            double low,
            double high,
            @Nullable String level,
            int pieces,
            int more) {}

    /** One framework of a course that one is in. */
    record CourseShown(String course, String framework, List<StandardShown> standards) {}

    record Handed(UUID course, String title, UUID assessment, Instant at, JsonNode snapshot) {}

    @Transactional(readOnly = true)
    List<CourseShown> of(Me me) {
        Map<UUID, List<Handed>> byCourse = new LinkedHashMap<>();
        entities.createQuery("""
                        select c.id, c.title, a.id, x.handedInAt, r.snapshot
                        from ResultRow r join AttemptRow x on x.id = r.attempt
                        join AssessmentRow a on a.id = x.assessment join Course c on c.id = a.course
                        left join StandingRow s on s.school = x.school and s.attempt = x.id
                        where r.student = :me and coalesce(s.counts, true) and not exists (
                          select 1 from ResultRow l where l.attempt = r.attempt
                            and (l.handedAt > r.handedAt or l.handedAt = r.handedAt and l.id > r.id))
                        order by c.title, x.handedInAt, r.id""", Handed.class)
                .setParameter("me", me.id())
                .getResultList()
                .forEach(h -> byCourse.computeIfAbsent(h.course(), c -> new ArrayList<>())
                        .add(h));
        List<CourseShown> all = new ArrayList<>();
        byCourse.forEach((course, handed) -> frameworks.namedOfCourse(course).forEach(f -> {
            Framework framework = FrameworkReader.read(Cursor.at(f.definition()));
            List<StandardShown> shown = shown(framework, rules.of(f.id()).way().rule(), evidence(handed));
            if (shown.stream().anyMatch(s -> s.percent() != null)) {
                all.add(new CourseShown(handed.get(0).title(), framework.title(), shown));
            }
        }));
        return all;
    }

    private static Map<String, List<Evidence>> evidence(List<Handed> handed) {
        Map<String, List<Evidence>> all = new LinkedHashMap<>();
        // Of several attempts that count, the last one stands for them all.
        Map<UUID, Handed> last = new LinkedHashMap<>();
        handed.forEach(h -> {
            last.remove(h.assessment());
            last.put(h.assessment(), h);
        });
        for (Handed one : last.values()) {
            for (JsonNode s : one.snapshot().path("result").path("standards")) {
                all.computeIfAbsent(s.path("code").asString(""), c -> new ArrayList<>())
                        .add(new Evidence(
                                Fraction.exactly(s.path("score").asString("0")),
                                Fraction.exactly(s.path("possible").asString("0")),
                                s.path("pieces").asInt(0)));
            }
        }
        return all;
    }

    private static List<StandardShown> shown(
            Framework framework, Attainment.Rule rule, Map<String, List<Evidence>> evidence) {
        List<StandardShown> all = new ArrayList<>();
        for (Framework.Standard s : framework.standards()) {
            Attainment a = Attainment.of(rule, evidence.getOrDefault(s.code(), List.of()));
            Fraction percent = a.percent();
            all.add(new StandardShown(
                    s.code(),
                    s.text(),
                    framework.withAbove(s.code()).size() - 1,
                    percent == null ? null : percent.toFixed(rule.percentDigits()),
                    percent == null ? 0 : percent.over(Fraction.HUNDRED).toDouble(),
                    a.interval() == null ? 0 : a.interval().low(),
                    a.interval() == null ? 0 : a.interval().high(),
                    a.level() == null ? null : a.level().label(),
                    a.pieces(),
                    Math.max(0, rule.minEvidence() - a.pieces())));
        }
        return all;
    }
}
