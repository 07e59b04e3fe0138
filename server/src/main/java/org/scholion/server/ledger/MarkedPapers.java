package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads {@link MarkedPaper}s: one statement, whatever is shown of them. */
@Service
public class MarkedPapers {
    private static final String SELECT = "select " + Attempts.FIELDS + """
            , s.score, s.possible, s.percent, s.band, s.passed, s.provisional, s.awaitsCurve, s.counts, s.place, s.tally,
            (select max(n.number) from EditionRow n where n.assessment = :assessment),
            """ + Standings.SITTING_AWAITS + """

            from AttemptRow x join Person p on p.id = x.student join EditionRow e on e.id = x.edition
            left join StandingRow s on s.school = x.school and s.attempt = x.id
            where x.handedInAt is not null and x.assessment = :assessment\s""";

    private static final String OF_SEVERAL = SELECT.replace("n.assessment = :assessment", "n.assessment = x.assessment")
            .replace("x.assessment = :assessment", "x.assessment in (:assessments)");

    private static final String OVERTAKEN = """
            select x.id from AttemptRow x where x.handedInAt is not null
              and exists (select 1 from AttemptRow y
                left join StandingRow s on s.school = y.school and s.attempt = y.id
                where y.student = x.student and y.assessment = x.assessment and y.handedInAt is not null
                  and coalesce(s.counts, true)
                  and (y.startedAt > x.startedAt or y.startedAt = x.startedAt and y.id > x.id)) and\s""";

    private final EntityManager entities;
    private final Editions editions;
    private final Briefs briefs;

    MarkedPapers(EntityManager entities, Editions editions, Briefs briefs) {
        this.entities = entities;
        this.editions = editions;
        this.briefs = briefs;
    }

    @SuppressWarnings("ArrayRecordComponent")
    record Flat(
            UUID id,
            UUID school,
            UUID assessment,
            UUID sitting,
            UUID section,
            UUID student,
            String given,
            String family,
            int number,
            int edition,
            Attempt.Way way,
            String[] leftOut,
            String daysLate,
            Instant startedAt,
            @Nullable Instant handedInAt,
            @Nullable String score,
            @Nullable String possible,
            @Nullable String percent,
            @Nullable String band,
            @Nullable Boolean passed,
            @Nullable Boolean provisional,
            @Nullable Boolean awaitsCurve,
            @Nullable Boolean counts,
            @Nullable Long place,
            byte @Nullable [] tally,
            int latest,
            boolean sittingAwaits) {

        Attempt attempt() {
            return new Attempts.Flat(
                            id,
                            school,
                            assessment,
                            sitting,
                            section,
                            student,
                            given,
                            family,
                            number,
                            edition,
                            way,
                            leftOut,
                            daysLate,
                            startedAt,
                            handedInAt)
                    .attempt();
        }

        Standings.Standing stored() {
            return new Standings.Standing(
                    id,
                    Objects.requireNonNull(score),
                    Objects.requireNonNull(possible),
                    percent,
                    band,
                    passed,
                    Boolean.TRUE.equals(provisional),
                    Boolean.TRUE.equals(awaitsCurve));
        }
    }

    /** A paper under its latest edition, of one section where one is named; empty while it is not given out. */
    @Transactional(readOnly = true)
    public Optional<MarkedPaper> find(UUID assessment, @Nullable UUID section) {
        return editions.latest(assessment).map(edition -> of(edition, section));
    }

    /** The same under an edition that is the latest; when another was made meanwhile, under that one. */
    @Transactional(readOnly = true)
    public MarkedPaper of(Edition latest, @Nullable UUID section) {
        List<Flat> rows = OfSection.set(
                        entities.createQuery(SELECT + OfSection.where(section) + Attempts.ORDER, Flat.class)
                                .setParameter("assessment", latest.assessmentId()),
                        section)
                .getResultList();
        if (!rows.isEmpty() && rows.get(0).latest() != latest.number()) {
            return of(editions.numbered(latest.assessmentId(), rows.get(0).latest()), section);
        }
        return paper(latest, rows);
    }

    /** The same of some attempts of an assessment, in a turn of the whole: no other edition is made meanwhile. */
    @Transactional(readOnly = true)
    public MarkedPaper some(Edition latest, Collection<UUID> attempts) {
        return attempts.isEmpty()
                ? new MarkedPaper(latest, List.of())
                : paper(
                        latest,
                        entities.createQuery(SELECT + "and x.id in (:ids)" + Attempts.ORDER, Flat.class)
                                .setParameter("assessment", latest.assessmentId())
                                .setParameter("ids", attempts)
                                .getResultList());
    }

    private MarkedPaper paper(Edition edition, List<Flat> rows) {
        Map<UUID, Made> made = make(edition, rows);
        return new MarkedPaper(
                edition, rows.stream().map(r -> marked(r, made.get(r.id()))).toList());
    }

    /** How many attempts are in. */
    @Transactional(readOnly = true)
    public int count(UUID assessment) {
        return entities.createQuery("""
                        select cast(count(*) as Integer) from AttemptRow x
                        where x.assessment = :assessment and x.handedInAt is not null""", Integer.class)
                .setParameter("assessment", assessment)
                .getSingleResult();
    }

    /**
     * What a paper is made of, in short: while it is the same, so are the marks of its attempts.
     *
     * @param place the highest place of a mark in the ledger
     */
    public record Stamp(UUID assessment, @Nullable UUID section, int edition, long attempts, long place) {}

    @Transactional(readOnly = true)
    public Stamp stamp(Edition latest, @Nullable UUID section) {
        TypedQuery<Counted> query = entities.createQuery("""
                        select count(x.id), coalesce(max(s.place), 0) from AttemptRow x
                        left join StandingRow s on s.school = x.school and s.attempt = x.id
                        where x.assessment = :assessment and x.handedInAt is not null\s""" + OfSection.where(section), Counted.class)
                .setParameter("assessment", latest.assessmentId());
        Counted counted = OfSection.set(query, section).getSingleResult();
        return new Stamp(latest.assessmentId(), section, latest.number(), counted.attempts(), counted.place());
    }

    record Counted(long attempts, long place) {}

    /** Of it those that stand for their students: the one that counts, or the last where all do. */
    @Transactional(readOnly = true)
    public MarkedPaper onceEach(Edition latest, @Nullable UUID section) {
        return once(of(latest, section), overtaken(latest.assessmentId(), section));
    }

    /** The same of several assessments at once, of all sections; of one student alone where one is named. */
    @Transactional(readOnly = true)
    public List<MarkedPaper> onceEachOf(Collection<Edition> latest, @Nullable UUID student) {
        if (latest.isEmpty()) {
            return List.of();
        }
        List<UUID> assessments = latest.stream().map(Edition::assessmentId).toList();
        String whose = student == null ? "" : " and x.student = :student";
        Map<UUID, List<Flat>> rows = ofSeveral(OF_SEVERAL + whose + Attempts.ORDER, Flat.class, assessments, student)
                .getResultStream()
                .collect(Collectors.groupingBy(Flat::assessment));
        Set<UUID> overtaken = new HashSet<>(
                ofSeveral(OVERTAKEN + "x.assessment in (:assessments)" + whose, UUID.class, assessments, student)
                        .getResultList());
        return latest.stream()
                .map(e -> once(underItsLatest(e, rows.getOrDefault(e.assessmentId(), List.of())), overtaken))
                .toList();
    }

    private <T> TypedQuery<T> ofSeveral(String query, Class<T> type, List<UUID> assessments, @Nullable UUID student) {
        TypedQuery<T> made = entities.createQuery(query, type).setParameter("assessments", assessments);
        return student == null ? made : made.setParameter("student", student);
    }

    private MarkedPaper underItsLatest(Edition edition, List<Flat> rows) {
        boolean another = !rows.isEmpty() && rows.get(0).latest() != edition.number();
        return another ? of(edition, null) : paper(edition, rows);
    }

    private static MarkedPaper once(MarkedPaper paper, Set<UUID> overtaken) {
        return new MarkedPaper(
                paper.edition(),
                paper.attempts().stream()
                        .filter(m ->
                                m.counts() && !overtaken.contains(m.attempt().id()))
                        .toList());
    }

    /** Attempts after which the same student began another that counts, in whatever section. */
    private Set<UUID> overtaken(UUID assessment, @Nullable UUID section) {
        TypedQuery<UUID> query = entities.createQuery(
                        OVERTAKEN + "x.assessment = :assessment" + OfSection.where(section), UUID.class)
                .setParameter("assessment", assessment);
        return new HashSet<>(OfSection.set(query, section).getResultList());
    }

    private static Marked marked(Flat row, @Nullable Made made) {
        Standings.Standing stored = made == null ? row.stored() : made.standing();
        byte[] tally = made == null ? Objects.requireNonNull(row.tally()) : made.tally();
        return new Marked(
                row.attempt(),
                row.sittingAwaits() ? stored.beforeTheCurve() : stored,
                stored,
                !Boolean.FALSE.equals(row.counts()),
                row.place() == null ? 0 : row.place(),
                tally,
                made == null);
    }

    @SuppressWarnings("ArrayRecordComponent")
    private record Made(Standings.Standing standing, byte[] tally) {}

    /** What is not packed or not computed yet is made of the ledger. */
    private Map<UUID, Made> make(Edition edition, List<Flat> rows) {
        List<Flat> missing = rows.stream()
                .filter(r -> r.tally() == null || r.score() == null)
                .toList();
        if (missing.isEmpty()) {
            return Map.of();
        }
        List<Attempt> attempts = missing.stream().map(Flat::attempt).toList();
        Map<UUID, List<Brief>> own = briefs.of(edition, attempts);
        Map<UUID, Standings.Standing> computed = Standings.computed(edition, attempts, own);
        Map<UUID, Made> made = new HashMap<>();
        for (Flat row : missing) {
            Standings.Standing stored =
                    row.score() == null ? Objects.requireNonNull(computed.get(row.id())) : row.stored();
            made.put(row.id(), new Made(stored, Tally.pack(new ArrayList<>(own.getOrDefault(row.id(), List.of())))));
        }
        return made;
    }
}
