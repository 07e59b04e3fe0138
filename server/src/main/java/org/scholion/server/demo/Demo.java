package org.scholion.server.demo;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.server.collect.BeginningToTake;
import org.scholion.server.collect.BringingIn;
import org.scholion.server.collect.DifferentForSome;
import org.scholion.server.collect.SittingSettings;
import org.scholion.server.collect.Sittings;
import org.scholion.server.collect.Taking;
import org.scholion.server.demo.DemoSchool.School;
import org.scholion.server.key.Edition;
import org.scholion.server.key.Editions;
import org.scholion.server.platform.Me;
import org.scholion.server.platform.SchoolClock;
import org.scholion.server.read.Readings;
import org.scholion.server.settle.Settling;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;

/** Fills an empty database with the made-up school, once: every stop of the line has work waiting. */
@Component
@ConditionalOnProperty("scholion.demo")
class Demo implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(Demo.class);
    private static final long SEED = 20_261_125;

    private final DemoSchool house;
    private final Sittings sittings;
    private final DifferentForSome different;
    private final Taking taking;
    private final BeginningToTake beginning;
    private final BringingIn bringingIn;
    private final Settling settling;
    private final Readings readings;
    private final DemoHandBack handBack;
    private final DemoKeys keys;
    private final DemoUnits units;
    private final DemoGuests guests;
    private final DemoReadings twice;
    private final DemoPages pages;
    private final Editions editions;
    private final SchoolClock clock;
    private final TransactionTemplate transaction;
    private final EntityManager entities;
    private final Random random = new Random(SEED);
    private final Map<UUID, Double> abilities = new HashMap<>();
    private final JsonNode how = DemoSchool.read("answers");

    Demo(
            DemoSchool house,
            Sittings sittings,
            DifferentForSome different,
            Taking taking,
            BeginningToTake beginning,
            BringingIn bringingIn,
            Settling settling,
            Readings readings,
            DemoHandBack handBack,
            DemoKeys keys,
            DemoUnits units,
            DemoGuests guests,
            DemoReadings twice,
            DemoPages pages,
            Editions editions,
            SchoolClock clock,
            TransactionTemplate transaction,
            EntityManager entities) {
        this.house = house;
        this.sittings = sittings;
        this.different = different;
        this.taking = taking;
        this.beginning = beginning;
        this.bringingIn = bringingIn;
        this.settling = settling;
        this.readings = readings;
        this.handBack = handBack;
        this.keys = keys;
        this.units = units;
        this.guests = guests;
        this.twice = twice;
        this.pages = pages;
        this.editions = editions;
        this.clock = clock;
        this.transaction = transaction;
        this.entities = entities;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (house.isThere()) {
            return;
        }
        Instant began = Clock.systemUTC().instant();
        // All or nothing: a demo that was cut off half way is made again at the next start.
        transaction.executeWithoutResult(t -> live());
        LOG.info(
                "the demo school is ready after {} ms",
                Duration.between(began, Instant.now()).toMillis());
    }

    private void live() {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MINUTES);
        School[] made = new School[1];
        clock.at(now.minus(Duration.ofDays(30)), () -> made[0] = house.found());
        School school = made[0];
        chartwork(school, now.minus(Duration.ofDays(8)), now);
        buoyage(school, now.minus(Duration.ofDays(3)));
        lights(school, now.minus(Duration.ofDays(4)));
        ropework(school, now.minus(Duration.ofDays(2)));
        tides(school, now.minus(Duration.ofHours(26)));
        planning(school, now);
        weather(school, now);
        broughtIn(school, "reckoning", now.minus(Duration.ofDays(6)));
        broughtIn(school, "radio", now.minus(Duration.ofDays(5)));
        clock.at(now.minus(Duration.ofHours(5)), () -> house.write(school, "evening"));
        clock.at(now.minus(Duration.ofHours(3)), () -> house.write(school, "collision"));
        clock.at(now.minus(Duration.ofHours(2)), () -> keys.write(school));
        units.make(
                school,
                "Chart and compass",
                List.of("Chartwork", "Dead reckoning", "Passage planning", "Harbour approach"));
        units.make(school, "Tides and weather", List.of("Tides", "Meteorology"));
        units.find(school, "Chartwork", "CW-1", "", "chart work", "year 1", "quiz");
        units.find(school, "Dead reckoning", "CW-2", "", "chart work", "year 1", "paper");
        units.find(school, "Tides", "TI-1", "Written in the week of the equinox springs.", "tides", "year 1", "mock");
        units.find(school, "Passage planning", "CW-3", "", "chart work", "year 2", "exam");
    }

    /** Handed back; some have looked, two have asked. */
    private void chartwork(School school, Instant at, Instant now) {
        UUID id = given(school, "chartwork", at, Duration.ofHours(1), "A");
        sit(school, id, "chartwork", "A", at, 26);
        handBack.chartwork(school.aud(), id, school.section("A"), at.plus(Duration.ofDays(2)), now);
    }

    /** Everything decided, ready to hand back. */
    private void buoyage(School school, Instant at) {
        UUID id = given(school, "buoyage", at, Duration.ofHours(1), "A", "B");
        sit(school, id, "buoyage", "A", at, 25);
        sit(school, id, "buoyage", "B", at, 27);
    }

    /** Everything decided, and one question whose key is wrong. */
    private void lights(School school, Instant at) {
        UUID id = given(school, "lights", at, Duration.ofHours(1), "A");
        sit(school, id, "lights", "A", at, 26);
        settleAll(school, id, at.plus(Duration.ofHours(3)));
    }

    /** Half read. */
    private void ropework(School school, Instant at) {
        UUID id = given(school, "ropework", at, Duration.ofHours(1), "C");
        sit(school, id, "ropework", "C", at, 24);
        settleAll(school, id, at.plus(Duration.ofHours(2)));
        readSome(school, id, "ropework", "C", at.plus(Duration.ofHours(4)), 17);
        clock.at(at.plus(Duration.ofHours(9)), () -> {
            twice.keepComments(school);
            pages.draw(school.aud(), id, openItems("ropework").get(0));
            twice.agree(school, id, "C", openItems("ropework").get(0));
            twice.second(school, id, "C", openItems("ropework").get(0), this::forget);
            twice.shareOut(school, id, openItems("ropework").get(0));
        });
    }

    /** Doubts to settle and answers to read; section A is a day ahead. */
    private void tides(School school, Instant at) {
        UUID id = given(school, "tides", at, Duration.ofHours(1), "A", "B");
        sit(school, id, "tides", "A", at, 24);
        sit(school, id, "tides", "B", at, 27);
        late(id, school.studentsOf("B").get(4), at);
        clock.at(at.plus(Duration.ofHours(4)), () -> settle(school, id, "q3", "double bowline", "0"));
        readSome(school, id, "tides", "A", at.plus(Duration.ofHours(5)), 99);
        readSome(school, id, "tides", "B", at.plus(Duration.ofHours(6)), 13);
        openItems("tides").forEach(item -> twice.lookFor(school, id, item));
    }

    /** Written in time on a telephone without a connection; it came when everything was over. */
    private void late(UUID assessment, Me student, Instant at) {
        int writtenAfter = 530;
        int cameAfter = 95 * 60;
        clock.at(
                at.plusSeconds(cameAfter),
                () -> taking.answer(
                        student,
                        attempt(student, assessment),
                        "q3",
                        new Taking.AnswerChange("bowline", false, cameAfter - writtenAfter, null, null)));
    }

    /** Being taken now. */
    private void planning(School school, Instant now) {
        Instant at = now.minus(Duration.ofMinutes(48));
        UUID id = given(school, "planning", at, Duration.ofMinutes(48 + 95), "A");
        sit(school, id, "planning", "A", at, 19);
        List<Me> rest = school.studentsOf("A").subList(19, 24);
        for (int i = 0; i < rest.size(); i++) {
            Me student = rest.get(i);
            int answered = 2 + i;
            // The second of them has not moved for a while.
            Instant start = i == 1 ? at.plusSeconds(240) : now.minus(Duration.ofMinutes(14L + 3 * i));
            work(student, id, "planning", start, answered, i == 1 ? 70 : 150);
        }
        clock.at(now.minusSeconds(120), () -> {
            UUID sitting = sittings.of(id).get(0).id();
            sittings.setSettings(
                    school.aud(),
                    sitting,
                    new SittingSettings(
                            SittingSettings.Asking.ONE,
                            true,
                            false,
                            true,
                            "Charts and dividers on the table. Bearings to the degree, distances to a tenth of a mile.",
                            "Thank you. Put the charts back in their drawer.",
                            "TIDE4821",
                            SittingSettings.Practising.NONE,
                            1,
                            false,
                            true,
                            null,
                            null,
                            SittingSettings.Calculator.SCIENTIFIC,
                            null));
            different(school, sitting, rest.get(3), 150, null, null, "Extra time, as agreed with the parents");
            different(
                    school,
                    sitting,
                    school.studentsOf("A").get(25),
                    100,
                    now.plus(Duration.ofHours(2)),
                    now.plus(Duration.ofHours(4)),
                    "Sailing until noon");
            Me leaves = rest.get(0);
            taking.leave(leaves, attempt(leaves, id));
            taking.leave(leaves, attempt(leaves, id));
        });
    }

    /** Something is different for a student of section A. */
    private void different(
            School school,
            UUID sitting,
            Me student,
            int percent,
            @Nullable Instant opens,
            @Nullable Instant closes,
            String why) {
        different.set(
                school.aud(),
                sitting,
                new DifferentForSome.DifferentWanted(List.of(student.id()), percent, 0, opens, closes, why));
    }

    /** Open for days, no hurry. */
    private void weather(School school, Instant now) {
        Instant at = now.minus(Duration.ofHours(20));
        UUID id = given(school, "weather", at, Duration.ofDays(3), "C");
        clock.at(
                at.minus(Duration.ofHours(1)),
                () -> sittings.setSettings(
                        school.aud(),
                        sittings.of(id).get(0).id(),
                        new SittingSettings(
                                SittingSettings.Asking.ONE,
                                true,
                                false,
                                false,
                                "A practice: look at each answer, and try again as often as you like.",
                                "",
                                "",
                                SittingSettings.Practising.AGAIN,
                                3,
                                false,
                                false,
                                guests.weatherMap(school),
                                "A weather map with a low on the left and a high on the right",
                                null,
                                null)));
        sit(school, id, "weather", "C", at, 8);
        clock.at(now.minus(Duration.ofHours(3)), () -> {
            guests.come(school, sittings.of(id).get(0));
            Sittings.GiveOut some = new Sittings.GiveOut(
                    school.section("B"),
                    now.minus(Duration.ofHours(3)),
                    now.plus(Duration.ofDays(2)),
                    null,
                    guests.group(school, "Weather watch", 5));
            sittings.giveOut(school.aud(), id, some);
        });
    }

    /**
     * From a table: worked on paper (pairs, an order, blanks, a correction, a formula and working), and an oral of which
     * only the points are known.
     */
    private void broughtIn(School school, String name, Instant at) {
        clock.at(
                at,
                () -> bringingIn.take(
                        school.aud(),
                        house.write(school, name),
                        name + ".csv",
                        () -> DemoSchool.bytes(name + ".csv"),
                        BringingIn.BringInAsked.NOTHING));
    }

    private UUID given(School school, String name, Instant at, Duration open, String... sections) {
        UUID[] id = new UUID[1];
        clock.at(at.minus(Duration.ofHours(20)), () -> {
            id[0] = house.write(school, name);
            for (String section : sections) {
                sittings.giveOut(
                        school.aud(), id[0], new Sittings.GiveOut(school.section(section), at, at.plus(open), null));
            }
        });
        return id[0];
    }

    /** So many students of the section sit and hand in. */
    private void sit(School school, UUID assessment, String name, String section, Instant at, int howMany) {
        List<Me> students = school.studentsOf(section);
        for (int i = 0; i < howMany; i++) {
            int seconds = 20 + random.nextInt(500);
            Instant end = work(students.get(i), assessment, name, at.plusSeconds(seconds), 99, 40 + random.nextInt(80));
            Me student = students.get(i);
            clock.at(end.plusSeconds(20), () -> taking.handIn(student, attempt(student, assessment)));
        }
    }

    /** A student begins and answers so many items, one every so many seconds; returns when the last was saved. */
    private Instant work(Me student, UUID assessment, String name, Instant from, int most, int pace) {
        double ability = abilities.computeIfAbsent(student.id(), s -> random.nextGaussian() * 0.9 + 0.3);
        Map<String, Object> said = new DemoAnswers(DemoSchool.read(name), how.get(name), random).of(ability);
        forget();
        Instant[] at = {from};
        clock.at(from, () -> beginning.begin(student, sitting(student, assessment), null));
        UUID attempt = attempt(student, assessment);
        DemoPaper paper = new DemoPaper(DemoSchool.read(name), taking.paper(student, attempt));
        int n = 0;
        for (Map.Entry<String, Object> answer : said.entrySet()) {
            if (n++ == most) {
                break;
            }
            at[0] = at[0].plusSeconds(pace / 2 + random.nextInt(Math.max(1, pace)));
            Object given = pages.with(
                    student,
                    attempt,
                    paper.takesPages(answer.getKey()),
                    paper.chosen(answer.getKey(), answer.getValue()));
            clock.at(at[0], () -> taking.answer(student, attempt, answer.getKey(), Taking.AnswerChange.now(given)));
        }
        return at[0];
    }

    /** What was written is not compared again at each query that follows: of a whole school that takes a minute. */
    private void forget() {
        entities.flush();
        entities.clear();
    }

    private UUID sitting(Me student, UUID assessment) {
        return entities.createQuery("""
                        select e.sitting from Expected e
                        where e.assessment = :assessment and e.student = :student""", UUID.class)
                .setParameter("assessment", assessment)
                .setParameter("student", student.id())
                .getSingleResult();
    }

    private UUID attempt(Me student, UUID assessment) {
        return entities.createQuery(
                        "select x.id from AttemptRow x where x.assessment = :assessment and x.student = :student",
                        UUID.class)
                .setParameter("assessment", assessment)
                .setParameter("student", student.id())
                .getSingleResult();
    }

    private void settle(School school, UUID assessment, String item, String answer, String credit) {
        Edition edition = editions.require(assessment);
        String form =
                edition.scorer(edition.assessment().item(item).orElseThrow()).form(new Answer.Typed(answer));
        settling.open(assessment).stream()
                .filter(o -> o.item().equals(item) && o.form().equals(form))
                .forEach(o -> settle(school, assessment, o, credit));
    }

    /** Decides about every doubt that is left: none of these answers counts. */
    private void settleAll(School school, UUID assessment, Instant at) {
        List<Settling.Open> open = new ArrayList<>(settling.open(assessment));
        for (int i = 0; i < open.size(); i++) {
            Settling.Open one = open.get(i);
            forget();
            clock.at(at.plusSeconds(20L * i), () -> settle(school, assessment, one, "0"));
        }
    }

    private void settle(School school, UUID assessment, Settling.Open one, String credit) {
        settling.settle(
                school.aud(),
                assessment,
                new Settling.Decision(
                        one.item(), one.form(), null, credit, Settling.Reach.EXACT, null, null, null, one.saw(), null));
    }

    /** A reader goes through a section's answers until so many are read, in the order in which they are shown. */
    private void readSome(School school, UUID assessment, String name, String section, Instant at, int most) {
        int[] read = {0};
        for (String item : openItems(name)) {
            for (Readings.ReadAnswer answer : readings.of(
                            school.aud(), assessment, school.section(section), item, false)
                    .answers()) {
                JsonNode text = text(name, item, answer.text());
                if (read[0] < most && text != null) {
                    read[0]++;
                    Instant then = at.plusSeconds(75L * read[0] + random.nextInt(40));
                    clock.at(then, () -> save(school, assessment, answer, item, text));
                }
            }
        }
    }

    private void save(School school, UUID assessment, Readings.ReadAnswer answer, String item, JsonNode text) {
        Map<String, String> levels = new HashMap<>();
        forget();
        JsonNode chosen = text.get("levels");
        chosen.propertyNames().forEach(c -> levels.put(c, chosen.get(c).stringValue()));
        readings.save(
                school.aud(),
                assessment,
                answer.answer(),
                item,
                new Readings.ReadingChange(
                        levels,
                        null,
                        null,
                        text.get("comment").stringValue(),
                        "",
                        false,
                        answer.saw(),
                        null,
                        DemoReadings.remarks(text.path("remarks"), answer.text())),
                false);
    }

    private List<String> openItems(String name) {
        List<String> ids = new ArrayList<>();
        how.get(name).propertyNames().stream()
                .filter(i -> how.get(name).get(i).has("texts"))
                .forEach(ids::add);
        return ids;
    }

    private @Nullable JsonNode text(String name, String item, String written) {
        for (JsonNode text : how.get(name).get(item).get("texts")) {
            if (text.get("text").stringValue().equals(written)) {
                return text;
            }
        }
        return null;
    }
}
