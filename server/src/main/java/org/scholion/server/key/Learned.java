package org.scholion.server.key;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.scholion.core.number.Fraction;
import org.scholion.core.score.Ruling;
import org.scholion.server.platform.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What the key of a question was taught since it was given out: each by itself, with who taught it, and the key without it. */
@Service
public class Learned {
    private static final List<String> LISTS = List.of("accept", "reject");
    private static final String NO_SLIPS = "none";

    private final Editions editions;

    Learned(Editions editions) {
        this.editions = editions;
    }

    /** What a key can be taught. */
    public enum What {
        /** Exactly this answer; shown is the answer. */
        ANSWER,
        /** Any answer with these words in it. */
        WORDS,
        /** Any answer of this pattern. */
        PATTERN,
        /** How many typing slips are forgiven. */
        SLIPS,
        /** An answer that the key itself cannot list; shown is its form. */
        RULING
    }

    /**
     * One thing that was taught.
     *
     * @param id names it within the question
     * @param credit the share of the points that it gives; null where it gives what an entry gives
     * @param edition the edition that learned it
     */
    public record Lesson(
            String id,
            What what,
            String shown,
            @Nullable String credit,
            @Nullable String note,
            int edition,
            String who,
            Instant at) {}

    private record Taught(
            String id,
            What what,
            String shown,
            @Nullable String credit,
            @Nullable String note) {
        Lesson by(Editions.ItemThen then) {
            return new Lesson(id, what, shown, credit, note, then.number(), then.by(), then.at());
        }
    }

    /** What a question was taught that stands in its key now, the latest first. */
    @Transactional(readOnly = true)
    public List<Lesson> of(UUID assessment, String item) {
        Map<Integer, Map<String, Editions.ItemThen>> all = new HashMap<>();
        Map<String, Editions.ItemThen> before = Map.of();
        List<Taught> now = List.of();
        List<Taught> atFirst = List.of();
        for (Editions.ItemThen then : editions.ofItem(assessment, item)) {
            now = taught(then);
            atFirst = then.number() == 1 ? now : atFirst;
            // An edition that repeats an earlier one taught nothing itself.
            Map<String, Editions.ItemThen> known =
                    then.undoes() == null ? before : all.getOrDefault(then.undoes(), before);
            Map<String, Editions.ItemThen> next = new LinkedHashMap<>();
            now.forEach(t -> next.put(t.id(), known.getOrDefault(t.id(), then)));
            all.put(then.number(), next);
            before = next;
        }
        List<Lesson> lessons = new ArrayList<>();
        for (Taught t : now) {
            Editions.ItemThen then = before.get(t.id());
            // Slips as they were at first are what was taken back, and no lesson.
            if (then != null && then.number() > 1 && !(t.what() == What.SLIPS && atFirst.contains(t))) {
                lessons.add(t.by(then));
            }
        }
        lessons.sort((a, b) -> Integer.compare(b.edition(), a.edition()));
        return lessons;
    }

    private static List<Taught> taught(Editions.ItemThen then) {
        List<Taught> all = new ArrayList<>();
        JsonNode item = then.item();
        if (item != null && item.path("kind").asString("").equals("text")) {
            for (String list : LISTS) {
                item.path(list).forEach(entry -> all.add(entry(list, entry)));
            }
            String slips = item.path("spelling").asString(NO_SLIPS);
            all.add(new Taught("spelling:" + slips, What.SLIPS, slips, null, null));
        }
        for (Ruling r : then.rulings()) {
            all.add(new Taught(
                    "ruling:" + r.form() + ":" + r.credit().toExact(),
                    What.RULING,
                    r.form(),
                    r.credit().toExact(),
                    r.note()));
        }
        return all;
    }

    private static Taught entry(String list, JsonNode entry) {
        String note = entry.path("note").asString(null);
        String credit = list.equals("reject") ? "0" : credit(entry);
        String id = list + ":" + said(entry) + ":" + credit;
        if (entry.has("pattern")) {
            return new Taught(id, What.PATTERN, entry.get("pattern").asString(""), credit, note);
        }
        if (entry.has("words")) {
            String words = entry.get("words")
                    .path("all")
                    .valueStream()
                    .map(Learned::wordOf)
                    .collect(Collectors.joining(", "));
            return new Taught(id, What.WORDS, words, credit, note);
        }
        return new Taught(id, What.ANSWER, said(entry), credit, note);
    }

    private static String wordOf(JsonNode word) {
        return word.isArray()
                ? word.valueStream().map(w -> w.asString("")).collect(Collectors.joining(" / "))
                : word.asString("");
    }

    /** What an entry listens for, however it is written down. */
    private static String said(JsonNode entry) {
        if (entry.isString()) {
            return entry.stringValue();
        }
        for (String by : List.of("text", "pattern")) {
            if (entry.has(by)) {
                return entry.get(by).asString("");
            }
        }
        return entry.path("words").toString();
    }

    private static String credit(JsonNode entry) {
        String credit = entry.path("credit").asString("1");
        return Fraction.parse(credit).map(Fraction::toExact).orElse(credit);
    }

    /** The next edition, not kept: as it is now, without this one lesson. */
    public Edition without(Edition latest, String item, String lesson) {
        Lesson found = of(latest.assessmentId(), item).stream()
                .filter(l -> l.id().equals(lesson))
                .findFirst()
                .orElseThrow(() -> Refused.conflict(
                        "not-there", "This decision was taken back or changed meanwhile. Nothing was changed."));
        ObjectNode definition = latest.definition().deepCopy().asObject();
        List<Ruling> rulings = new ArrayList<>(latest.rulings());
        if (found.what() == What.RULING) {
            rulings.removeIf(r -> r.item().equals(item) && r.form().equals(found.shown()));
        } else {
            forget(Edition.itemIn(definition, item).asObject(), found, latest.assessmentId());
        }
        return Edition.compile(latest.assessmentId(), latest.number() + 1, definition, rulings);
    }

    private void forget(ObjectNode item, Lesson lesson, UUID assessment) {
        if (lesson.what() == What.SLIPS) {
            String id = item.get("id").stringValue();
            JsonNode was = editions.ofItem(assessment, id).stream()
                    .filter(then -> then.number() == lesson.edition() - 1)
                    .findFirst()
                    .map(Editions.ItemThen::item)
                    .orElse(null);
            item.put("spelling", was == null ? NO_SLIPS : was.path("spelling").asString(NO_SLIPS));
            return;
        }
        for (String name : LISTS) {
            if (item.get(name) instanceof ArrayNode list) {
                for (int i = list.size() - 1; i >= 0; i--) {
                    if (entry(name, list.get(i)).id().equals(lesson.id())) {
                        list.remove(i);
                    }
                }
            }
        }
    }
}
