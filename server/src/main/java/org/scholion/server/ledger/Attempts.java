package org.scholion.server.ledger;

import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.server.platform.Batches;
import org.scholion.server.platform.Copying;
import org.scholion.server.platform.Ids;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Attempts and what they say. A response is written once, when the attempt is handed in, and never changed. */
@Service
public class Attempts {
    static final String FIELDS = """
            x.id, x.school, x.assessment, x.sitting, x.section, x.student, p.given, p.family, x.number, e.number, x.way,
            x.leftOut, x.daysLate, x.startedAt, x.handedInAt\s""";
    private static final String SELECT = "select " + FIELDS + """
             from AttemptRow x join Person p on p.id = x.student join EditionRow e on e.id = x.edition where\s""";
    static final String ORDER = " order by p.family, p.given, x.number";
    private static final String RESPONSES_OF = """
            select r.attempt, r.item, r.answer from %s x
            join ResponseRow r on r.school = x.school and r.attempt = x.id where\s""";
    private static final String LATE_OF = """
            select l.attempt, l.item, l.answer from %s x
            join LateAnswer l on l.school = x.school and l.attempt = x.id where l.decision = COUNTS and\s""";
    private static final String RESPONSES = RESPONSES_OF.formatted("AttemptRow");
    private static final String LATE = LATE_OF.formatted("AttemptRow");
    /** The same of whatever is there, set aside or not. */
    private static final String ANY_RESPONSES = RESPONSES_OF.formatted("AnyAttempt");

    private static final String ANY_LATE = LATE_OF.formatted("AnyAttempt");

    private final EntityManager entities;
    private final Batches batches;
    private final Copying copying;
    private final Receipts receipts;
    private final Ids ids;

    Attempts(EntityManager entities, Batches batches, Copying copying, Receipts receipts, Ids ids) {
        this.entities = entities;
        this.batches = batches;
        this.copying = copying;
        this.receipts = receipts;
        this.ids = ids;
    }

    /**
     * What has to be known to begin an attempt.
     *
     * @param due when its time is over; null for what comes in otherwise than on screen
     * @param broughtIn the file that it comes in with; null for others
     */
    public record Beginning(
            UUID school,
            UUID assessment,
            UUID sitting,
            UUID section,
            UUID student,
            UUID edition,
            Attempt.Way way,
            @Nullable Instant due,
            @Nullable UUID broughtIn) {}

    /** An attempt as it lies in the table. */
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
            @Nullable Instant handedInAt) {
        Attempt attempt() {
            return new Attempt(
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
                    Set.of(leftOut),
                    daysLate.equals("0") ? Fraction.ZERO : Fraction.exactly(daysLate),
                    startedAt,
                    handedInAt);
        }
    }

    /** What an attempt says to an item. */
    record Response(UUID attempt, String item, JsonNode answer) {}

    /** Notes how late an attempt came in, in days. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void setLate(UUID attempt, Fraction days) {
        entities.createQuery("update AttemptRow x set x.daysLate = :days where x.id = :id")
                .setParameter("days", days.toExact())
                .setParameter("id", attempt)
                .executeUpdate();
    }

    /** Notes which items attempts were not drawn, beside those that are noted already. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void leaveOut(Collection<UUID> some, Set<String> items) {
        if (!some.isEmpty() && !items.isEmpty()) {
            // Adding to an array without what is in it already is PostgreSQL's own.
            entities.createNativeQuery("update attempt set left_out = array(select distinct unnest(left_out || :items))"
                            + " where id = any(:ids)")
                    .setParameter("items", items.toArray(new String[0]))
                    .setParameter("ids", some.toArray(new UUID[0]))
                    .executeUpdate();
        }
    }

    /** @param leftOut the items that an attempt of this id is not drawn */
    @Transactional(propagation = Propagation.MANDATORY)
    public UUID begin(Beginning b, Function<UUID, Set<String>> leftOut, Instant at) {
        UUID id = ids.next();
        AttemptRow row = row(id, b, leftOut.apply(id), at);
        row.number = nextNumber(b.sitting(), b.student());
        batches.insert(List.of(row));
        return id;
    }

    /** The number of the attempt that a student would begin next. */
    int nextNumber(UUID sitting, UUID student) {
        return 1
                + entities.createQuery(
                                "select coalesce(max(x.number), 0) from AnyAttempt x"
                                        + " where x.sitting = :sitting and x.student = :student",
                                Integer.class)
                        .setParameter("sitting", sitting)
                        .setParameter("student", student)
                        .getSingleResult();
    }

    /** The highest numbers of the attempts that students have in these sittings already, set aside or not. */
    private Map<UUID, Integer> before(List<Beginning> some) {
        Map<UUID, Integer> highest = new HashMap<>();
        entities.createQuery(
                        "from AnyAttempt x where x.sitting in (:sittings) and x.student in (:students)",
                        AnyAttempt.class)
                .setParameter("sittings", some.stream().map(Beginning::sitting).toList())
                .setParameter("students", some.stream().map(Beginning::student).toList())
                .getResultList()
                .forEach(x -> highest.merge(x.student, x.number, Math::max));
        return highest;
    }

    /** What comes in of one attempt that nobody worked on here, with the items that were not asked in it. */
    public record Whole(Beginning beginning, Set<String> leftOut, Map<String, JsonNode> answers) {}

    /** Attempts that are begun and handed in at once with all they say; they come back in the order given. */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<Attempt> bringIn(List<Whole> some, Instant at) {
        List<AttemptRow> rows = new ArrayList<>();
        Map<UUID, Integer> before = before(some.stream().map(Whole::beginning).toList());
        for (Whole one : some) {
            AttemptRow row = row(ids.next(), one.beginning(), one.leftOut(), at);
            row.number = 1 + before.getOrDefault(row.student, 0);
            row.handedInAt = at;
            rows.add(row);
        }
        batches.insert(rows);
        Map<UUID, Attempt> made = new HashMap<>();
        some(rows.stream().map(r -> r.id).toList()).forEach(a -> made.put(a.id(), a));
        List<Attempt> attempts = new ArrayList<>();
        List<ResponseRow> responses = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            Attempt attempt = Objects.requireNonNull(made.get(rows.get(i).id));
            attempts.add(attempt);
            some.get(i).answers().forEach((item, said) -> responses.add(new ResponseRow(attempt, item, said, at)));
        }
        copying.into(
                "response",
                List.of("school_id", "attempt_id", "item", "answer", "at"),
                responses.stream()
                        .map(r -> new @Nullable Object[] {r.school, r.attempt, r.item, r.answer, r.at})
                        .iterator());
        return attempts;
    }

    private static AttemptRow row(UUID id, Beginning b, Set<String> leftOut, Instant at) {
        AttemptRow row = new AttemptRow();
        row.id = id;
        row.school = b.school();
        row.assessment = b.assessment();
        row.sitting = b.sitting();
        row.section = b.section();
        row.student = b.student();
        row.number = 1;
        row.edition = b.edition();
        row.way = b.way();
        row.dueAt = b.due();
        row.startedAt = at;
        row.leftOut = leftOut.toArray(new String[0]);
        row.daysLate = "0";
        row.broughtIn = b.broughtIn();
        return row;
    }

    /** The attempts that came in with a file. */
    @Transactional(readOnly = true)
    public List<UUID> broughtIn(UUID file) {
        return entities.createQuery("select x.id from AttemptRow x where x.broughtIn = :file", UUID.class)
                .setParameter("file", file)
                .getResultList();
    }

    /**
     * Takes attempts away with all that is known of them. Only for what came in by mistake and was shown to nobody.
     *
     * @return whose standing may be another one now: other attempts of the same students, and one of each sitting
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<UUID> erase(Collection<UUID> some) {
        List<UUID> beside = standingOtherwise(some);
        for (String rows : List.of("LateAnswer", "MarkRow", "ResponseRow", "StandingRow")) {
            entities.createQuery("delete from " + rows + " r where r.attempt in (:some)")
                    .setParameter("some", some)
                    .executeUpdate();
        }
        entities.createQuery("delete from AttemptRow x where x.id in (:some)")
                .setParameter("some", some)
                .executeUpdate();
        return beside;
    }

    /**
     * Whose standing may be another one without these: other attempts of their students, of which the one that is left
     * counts until it is decided again, and one of each sitting.
     */
    List<UUID> standingOtherwise(Collection<UUID> some) {
        List<UUID> others = new ArrayList<>(
                entities.createQuery("""
                        select distinct x.id from AttemptRow x
                        join AnyAttempt g on g.assessment = x.assessment and g.student = x.student
                        where g.id in (:some) and x.id not in (:some) and x.handedInAt is not null""", UUID.class).setParameter("some", some).getResultList());
        if (!others.isEmpty()) {
            entities.createQuery("update StandingRow s set s.counts = true where s.attempt in (:others)"
                            + " and s.school in (select x.school from AttemptRow x where x.id in (:others))")
                    .setParameter("others", others)
                    .executeUpdate();
        }
        others.addAll(beside(some));
        return others;
    }

    /** One attempt of each of their sittings in which others are in: a curve looks at all of them when it is made again. */
    private List<UUID> beside(Collection<UUID> some) {
        List<UUID> beside = new ArrayList<>();
        for (UUID sitting : sittings(some)) {
            entities.createQuery(
                            "select x.id from AttemptRow x where x.sitting = :sitting and x.handedInAt is not null"
                                    + " and x.id not in (:some)",
                            UUID.class)
                    .setParameter("sitting", sitting)
                    .setParameter("some", some)
                    .setMaxResults(1)
                    .getResultStream()
                    .forEach(beside::add);
        }
        return beside;
    }

    private List<UUID> sittings(Collection<UUID> some) {
        return entities.createQuery("select distinct x.sitting from AnyAttempt x where x.id in (:some)", UUID.class)
                .setParameter("some", some)
                .getResultList();
    }

    /** Whether anybody has begun in a sitting, also where that was set aside. */
    @Transactional(readOnly = true)
    public boolean isBegun(UUID sitting) {
        return !entities.createQuery("select x.id from AnyAttempt x where x.sitting = :sitting", UUID.class)
                .setParameter("sitting", sitting)
                .setMaxResults(1)
                .getResultList()
                .isEmpty();
    }

    /** How often a student has taken an assessment in a section, or takes it; what was set aside does not count. */
    @Transactional(readOnly = true)
    public int taken(UUID assessment, UUID section, UUID student) {
        return entities.createQuery(
                        "select count(*) from AttemptRow x where x.assessment = :assessment and x.section = :section"
                                + " and x.student = :student",
                        Long.class)
                .setParameter("assessment", assessment)
                .setParameter("section", section)
                .setParameter("student", student)
                .getSingleResult()
                .intValue();
    }

    /** A student's last attempt in a sitting. */
    @Transactional(readOnly = true)
    public Optional<UUID> find(UUID sitting, UUID student) {
        return entities.createQuery(
                        "select x.id from AttemptRow x where x.sitting = :sitting and x.student = :student"
                                + " order by x.number desc",
                        UUID.class)
                .setParameter("sitting", sitting)
                .setParameter("student", student)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** A student's last attempt at an assessment in a section, whichever sitting it was begun in. */
    @Transactional(readOnly = true)
    public Optional<UUID> find(UUID assessment, UUID section, UUID student) {
        return entities.createQuery(
                        "select id from AttemptRow where assessment = :assessment and section = :section"
                                + " and student = :student order by id desc",
                        UUID.class)
                .setParameter("assessment", assessment)
                .setParameter("section", section)
                .setParameter("student", student)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /** The attempts of the same student at the same assessment that were begun before this one and are in, in their order. */
    @Transactional(readOnly = true)
    public List<UUID> before(Attempt attempt) {
        return entities.createQuery("""
                        select x.id from AttemptRow x
                        where x.assessment = :assessment and x.student = :student and x.handedInAt is not null
                          and (x.startedAt < :begun or x.startedAt = :begun and x.id < :id)
                        order by x.startedAt, x.id""", UUID.class)
                .setParameter("assessment", attempt.assessment())
                .setParameter("student", attempt.student())
                .setParameter("begun", attempt.startedAt())
                .setParameter("id", attempt.id())
                .getResultList();
    }

    /** A student moves to another section: their attempts go along. */
    @Transactional
    public void move(UUID student, UUID from, UUID to) {
        entities.createQuery("update AttemptRow a set a.section = :to where a.student = :student and a.section = :from"
                        + " and not exists (select 1 from AttemptRow o where o.assessment = a.assessment"
                        + " and o.student = a.student and o.section = :to)")
                .setParameter("to", to)
                .setParameter("from", from)
                .setParameter("student", student)
                .executeUpdate();
    }

    /** Writes the responses of an attempt, once and for ever, and marks it as handed in; false when it already was. */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean handIn(Attempt attempt, Map<String, JsonNode> answers, Instant at) {
        boolean first = entities.createQuery("""
                        update AttemptRow x set x.handedInAt = :at, x.trouble = null, x.troubleAt = null,
                          x.receipt = :receipt
                        where x.id = :id and x.handedInAt is null""")
                        .setParameter("at", at)
                        .setParameter("receipt", receipts.of(attempt.id(), at, answers))
                        .setParameter("id", attempt.id())
                        .executeUpdate()
                == 1;
        if (first) {
            batches.insert(answers.entrySet().stream()
                    .map(e -> new ResponseRow(attempt, e.getKey(), e.getValue(), at))
                    .toList());
        }
        return first;
    }

    /** Notes why an attempt could not be taken in at the end of its time. */
    @Transactional
    public void note(UUID attempt, String trouble, Instant at) {
        entities.createQuery("update AttemptRow x set x.trouble = :trouble, x.troubleAt = :at where x.id = :id")
                .setParameter("trouble", trouble)
                .setParameter("at", at)
                .setParameter("id", attempt)
                .executeUpdate();
    }

    /** Keeps attempts to this transaction until it ends, always in the same order, so that nobody waits in a ring. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void hold(Collection<UUID> some) {
        if (!some.isEmpty()) {
            held(some);
        }
    }

    /** Keeps the attempt to this transaction until it ends; true while it is not handed in. */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean hold(UUID id) {
        List<Boolean> open = held(List.of(id));
        if (open.isEmpty()) {
            throw Refused.notFound();
        }
        return open.get(0);
    }

    /** By PostgreSQL's own strongest lock: an answer that is just being saved is waited for, too. */
    private List<Boolean> held(Collection<UUID> some) {
        return entities.unwrap(Session.class)
                .createNativeQuery(
                        "select handed_in_at is null from attempt where id = any(:ids) and set_aside_at is null"
                                + " order by id for update",
                        Boolean.class)
                .setParameter("ids", some.toArray(new UUID[0]))
                .getResultList();
    }

    @Transactional(readOnly = true)
    public Attempt require(UUID id) {
        return query("x.id = :id", "")
                .setParameter("id", id)
                .getResultStream()
                .findFirst()
                .orElseThrow(Refused::notFound)
                .attempt();
    }

    /** Some attempts, by family name. */
    @Transactional(readOnly = true)
    public List<Attempt> some(Collection<UUID> some) {
        return some.isEmpty()
                ? List.of()
                : attempts(query("x.id in (:ids)", ORDER).setParameter("ids", some));
    }

    /** The attempts of an assessment, of one section where one is named, by family name. */
    @Transactional(readOnly = true)
    public List<Attempt> of(UUID assessment, @Nullable UUID section) {
        return attempts(OfSection.set(
                query("x.assessment = :assessment" + OfSection.where(section), ORDER)
                        .setParameter("assessment", assessment),
                section));
    }

    private TypedQuery<Flat> query(String which, String order) {
        return entities.createQuery(SELECT + which + order, Flat.class);
    }

    private static List<Attempt> attempts(TypedQuery<Flat> query) {
        return query.getResultList().stream().map(Flat::attempt).toList();
    }

    /** Those of an assessment that are handed in: the ones that count. */
    @Transactional(readOnly = true)
    public List<Attempt> in(UUID assessment, @Nullable UUID section) {
        return of(assessment, section).stream().filter(Attempt::isIn).toList();
    }

    /** What an assessment's attempts say, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> responses(UUID assessment) {
        return late(
                byAttempt(responses(RESPONSES + "x.assessment = :of").setParameter("of", assessment)),
                responses(LATE + "x.assessment = :of").setParameter("of", assessment));
    }

    /** What an assessment's attempts say to some items only. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> responses(UUID assessment, Set<String> items) {
        return items.isEmpty()
                ? Map.of()
                : late(
                        byAttempt(responses(RESPONSES + "x.assessment = :of and r.item in (:items)")
                                .setParameter("of", assessment)
                                .setParameter("items", items)),
                        responses(LATE + "x.assessment = :of and l.item in (:items)")
                                .setParameter("of", assessment)
                                .setParameter("items", items));
    }

    /** What some attempts say to some items. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> responsesOf(Collection<UUID> some, Set<String> items) {
        return some.isEmpty() || items.isEmpty()
                ? Map.of()
                : late(
                        byAttempt(responses(RESPONSES + "x.id in (:of) and r.item in (:items)")
                                .setParameter("of", some)
                                .setParameter("items", items)),
                        responses(LATE + "x.id in (:of) and l.item in (:items)")
                                .setParameter("of", some)
                                .setParameter("items", items));
    }

    /** What some attempts say to one item, as a person reads it; empty where they say nothing. */
    @Transactional(readOnly = true)
    public Map<UUID, String> textsOf(Collection<UUID> some, Item item) {
        Map<UUID, Map<String, JsonNode>> responses = responsesOf(some, Set.of(item.id()));
        Map<UUID, String> texts = new HashMap<>();
        some.forEach(id ->
                texts.put(id, answer(item, responses.getOrDefault(id, Map.of())).shown()));
        return texts;
    }

    private TypedQuery<Response> responses(String query) {
        return entities.createQuery(query, Response.class);
    }

    /** A late answer that counts stands in the place of what was handed in. */
    private static Map<UUID, Map<String, JsonNode>> late(
            Map<UUID, Map<String, JsonNode>> all, TypedQuery<Response> late) {
        byAttempt(late)
                .forEach((attempt, answers) ->
                        all.computeIfAbsent(attempt, a -> new LinkedHashMap<>()).putAll(answers));
        return all;
    }

    private static Map<UUID, Map<String, JsonNode>> byAttempt(TypedQuery<Response> query) {
        Map<UUID, Map<String, JsonNode>> all = new LinkedHashMap<>();
        query.getResultList()
                .forEach(r -> all.computeIfAbsent(r.attempt(), a -> new LinkedHashMap<>())
                        .put(r.item(), r.answer()));
        return all;
    }

    @Transactional(readOnly = true)
    public Map<String, JsonNode> responsesOf(UUID attempt) {
        return responsesOf(List.of(attempt)).getOrDefault(attempt, Map.of());
    }

    /** What some attempts say, by attempt and item. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> responsesOf(Collection<UUID> some) {
        return some.isEmpty()
                ? Map.of()
                : late(handedIn(some), responses(LATE + "x.id in (:of)").setParameter("of", some));
    }

    /** What an attempt said when it was handed in, also where it was set aside since. */
    Map<String, JsonNode> handedInAnywhere(UUID attempt) {
        return byAttempt(responses(ANY_RESPONSES + "x.id = :of").setParameter("of", attempt))
                .getOrDefault(attempt, Map.of());
    }

    /** What an attempt says that was set aside. */
    Map<String, JsonNode> responsesOfAside(UUID attempt) {
        List<UUID> one = List.of(attempt);
        return late(
                        byAttempt(responses(ANY_RESPONSES + "x.id in (:of)").setParameter("of", one)),
                        responses(ANY_LATE + "x.id in (:of)").setParameter("of", one))
                .getOrDefault(attempt, Map.of());
    }

    /** What some attempts said when they were handed in, whatever came later. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, JsonNode>> handedIn(Collection<UUID> some) {
        return byAttempt(responses(RESPONSES + "x.id in (:of)").setParameter("of", some));
    }

    /** A response as the item's kind understands it; one that is not there is none. */
    public static Answer answer(Item item, Map<String, JsonNode> responses) {
        return Said.to(item, responses).answer();
    }
}
