package org.scholion.server.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.scholion.core.rubric.Resolving;
import org.scholion.server.ledger.Remark;
import org.scholion.server.platform.Me;
import org.scholion.server.read.AgreedExamples;
import org.scholion.server.read.HintPlans;
import org.scholion.server.read.KeptComments;
import org.scholion.server.read.ReaderScopes;
import org.scholion.server.read.Readings;
import org.scholion.server.read.SecondReadings;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** A colleague reads some of the demo's answers a second time, and a reader keeps what she says often. */
@Component
class DemoReadings {
    private static final int SECOND = 8;
    private static final List<String> OFTEN = List.of(
            "Well ordered, {given name}: each step has its reason.",
            "Say why, and not only what.",
            "Why astern? Look again at the drawing of the berth.",
            "Name the line before you let it go.");

    private static final Map<String, String> SHORT = Map.of("c", "clear", "s", "see me", "w", "which?");

    private final Readings readings;
    private final SecondReadings seconds;
    private final KeptComments comments;
    private final HintPlans plans;
    private final AgreedExamples examples;
    private final ReaderScopes scopes;

    DemoReadings(
            Readings readings,
            SecondReadings seconds,
            KeptComments comments,
            HintPlans plans,
            AgreedExamples examples,
            ReaderScopes scopes) {
        this.readings = readings;
        this.seconds = seconds;
        this.comments = comments;
        this.plans = plans;
        this.examples = examples;
        this.scopes = scopes;
    }

    void keepComments(DemoSchool.School school) {
        OFTEN.forEach(text -> comments.keep(school.aud(), text, null));
        SHORT.forEach((letter, text) -> comments.keep(school.aud(), text, letter));
    }

    /** Two answers that Aud has read stand as examples for whoever reads the others. */
    void agree(DemoSchool.School school, UUID assessment, String section, String item) {
        Map<String, String> whys = Map.of(
                "Every line has its place and its reason.", "2", "Lines are named, but not what they are for.", "1");
        List<Readings.ReadAnswer> read = answers(school.aud(), school, assessment, section, item).answers().stream()
                .filter(a -> a.mark().state().equals("scored"))
                .toList();
        whys.forEach((why, level) -> read.stream()
                .filter(a -> a.levels().containsValue(level))
                .filter(a -> a.levels().values().stream().distinct().count() == 1)
                .findFirst()
                .ifPresent(a -> examples.keep(
                        school.aud(),
                        assessment,
                        item,
                        a.answer(),
                        new AgreedExamples.AgreedChange(a.levels(), why),
                        true)));
    }

    /** Who reads beside the teachers reads one question only. */
    void shareOut(DemoSchool.School school, UUID assessment, String item) {
        scopes.readers(school.aud(), assessment)
                .forEach(reader -> scopes.plan(
                        school.aud(),
                        assessment,
                        reader.person(),
                        new ReaderScopes.Scope(List.of(item), List.of(), 1, 1)));
    }

    /** Words of the trade are looked for in what is said of the stream in the harbour mouth. */
    void lookFor(DemoSchool.School school, UUID assessment, String item) {
        plans.plan(
                school.aud(),
                assessment,
                item,
                new HintPlans.HintPlan(
                        List.of("slack", "range", "rate", "rule of twelfths", "springs"), true, true, true));
    }

    /** Halvard reads what Aud has read; the first reading counts, so that the second one only says how far they agree. */
    void second(DemoSchool.School school, UUID assessment, String section, String item, Runnable before) {
        seconds.plan(school.aud(), assessment, item, new SecondReadings.SecondPlan(100, Resolving.Way.FIRST, null));
        Set<UUID> read = new HashSet<>();
        answers(school.aud(), school, assessment, section, item).answers().stream()
                .filter(a -> a.second() != null && !a.second().blind())
                .forEach(a -> read.add(a.answer()));
        Readings.ReadView view = answers(school.halvard(), school, assessment, section, item);
        Readings.OpenQuestion question = view.questions().stream()
                .filter(q -> q.item().equals(item))
                .findFirst()
                .orElseThrow();
        List<Readings.ReadAnswer> some = view.answers().stream()
                .filter(a -> read.contains(a.answer()))
                .limit(SECOND)
                .toList();
        for (int i = 0; i < some.size(); i++) {
            before.run();
            Readings.ReadingChange change = new Readings.ReadingChange(
                    levels(question, i), null, null, "", "", false, some.get(i).saw(), null, null);
            readings.save(school.halvard(), assessment, some.get(i).answer(), item, change, true);
        }
    }

    /** What a reader says of single words, as the demo's file names them by the words themselves. */
    static List<Remark> remarks(JsonNode said, String answer) {
        List<Remark> all = new ArrayList<>();
        for (JsonNode one : said) {
            String words = one.get("words").stringValue();
            int at = answer.indexOf(words);
            if (at >= 0) {
                all.add(new Remark(
                        at,
                        at + words.length(),
                        one.get("text").stringValue(),
                        one.path("brief").asBoolean(false)));
            }
        }
        return all;
    }

    private Readings.ReadView answers(Me who, DemoSchool.School school, UUID assessment, String section, String item) {
        return readings.of(who, assessment, school.section(section), item, true);
    }

    /** The level in the middle, now and then the highest. */
    private static Map<String, String> levels(Readings.OpenQuestion question, int place) {
        Map<String, String> levels = new HashMap<>();
        for (Readings.CriterionView c : question.criteria()) {
            int last = c.levels().size() - 1;
            int at = (place + c.title().length()) % 3 == 0 ? last / 2 : last;
            levels.put(c.id(), c.levels().get(at).id());
        }
        return levels;
    }
}
