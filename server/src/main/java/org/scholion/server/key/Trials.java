package org.scholion.server.key;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.core.answer.Answer;
import org.scholion.core.item.Item;
import org.scholion.core.number.Fraction;
import org.scholion.core.reason.Words;
import org.scholion.core.score.Mark;
import org.scholion.core.score.RightAnswer;
import org.scholion.core.total.Award;
import org.scholion.core.total.Grading;
import org.scholion.core.total.Outcome;
import org.scholion.core.total.Outcomes;
import org.scholion.formats.assessment.AnswerJson;
import org.scholion.formats.assessment.Layout;
import org.scholion.formats.json.Cursor;
import org.scholion.formats.json.Fault;
import org.scholion.server.platform.JsonColumn;
import org.scholion.server.platform.Refused;
import tools.jackson.databind.JsonNode;

/**
 * Whole made-up sets of answers, each scored and totalled by itself as an attempt would be, so that a bound that is off
 * by one is seen before any student meets it. A curve that looks at a whole sitting sees each set alone.
 */
final class Trials {
    private final Edition edition;

    private Trials(JsonNode whole) {
        this.edition = Edition.compile(new UUID(0, 0), 0, whole, List.of());
    }

    /** @param awards what would be given for it, by title; none while something of it waits for a reader */
    record TrialView(
            String name,
            String score,
            String possible,
            @Nullable String percent,
            @Nullable String band,
            @Nullable String message,
            @Nullable Boolean passed,
            boolean provisional,
            List<String> awards,
            List<TrialMark> marks) {}

    record TrialMark(String item, String state, String points, String of, String because) {}

    /** A set that is worth looking at, and why. */
    record Proposed(String name, Map<String, Object> answers) {}

    static List<TrialView> of(JsonNode whole) {
        Trials trials = new Trials(whole);
        return trials.edition.file().layout().trials().stream()
                .map(trials::view)
                .toList();
    }

    private TrialView view(Layout.Trial trial) {
        List<Fault> faults = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        for (Item item : edition.items()) {
            JsonNode said = trial.answers().get(item.id());
            Cursor at = said == null ? null : Cursor.at(said);
            Answer answer = AnswerJson.read(item, at);
            if (at != null) {
                at.faults().forEach(f -> faults.add(new Fault(trial.name() + ", " + item.id(), f.message())));
            }
            marks.add(
                    at != null && !at.faults().isEmpty()
                            ? Mark.BLANK
                            : edition.scorer(item).score(answer));
        }
        if (!faults.isEmpty()) {
            throw Refused.invalid(faults);
        }
        return view(trial.name(), marks);
    }

    private TrialView view(String name, List<Mark> marks) {
        Outcome outcome = outcome(marks);
        Grading grading = edition.assessment().grading();
        return new TrialView(
                name,
                outcome.total().score().toExact(),
                outcome.total().possible().toExact(),
                outcome.percent() == null ? null : outcome.percent().toFixed(grading.percentDigits()),
                outcome.band() == null ? null : outcome.band().label(),
                outcome.band() == null ? null : outcome.band().message(),
                outcome.passed(),
                outcome.total().provisional(),
                edition.awards(outcome.percent(), outcome.total().provisional()).stream()
                        .map(Award::title)
                        .toList(),
                trialMarks(marks));
    }

    private List<TrialMark> trialMarks(List<Mark> marks) {
        List<TrialMark> all = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            Item item = edition.items().get(i);
            Mark mark = marks.get(i);
            all.add(new TrialMark(
                    item.id(),
                    mark.state().word(),
                    mark.credit().times(item.points()).toExact(),
                    item.points().toExact(),
                    Words.english(mark.reason())));
        }
        return all;
    }

    private Outcome outcome(List<Mark> marks) {
        return Outcomes.of(
                        edition.assessment().grading(), List.of(edition.totals().of(marks, Fraction.ZERO)))
                .get(0);
    }

    static List<Proposed> proposed(JsonNode whole) {
        return new Trials(whole).proposed();
    }

    private List<Proposed> proposed() {
        Map<String, Answer> right = new LinkedHashMap<>();
        for (Item item : edition.items()) {
            RightAnswer.of(item).ifPresent(answer -> right.put(item.id(), answer));
        }
        List<Proposed> all = new ArrayList<>();
        all.add(set("every answer right", right, right.keySet()));
        all.add(set("no answers", right, Set.of()));
        for (Fraction bound : bounds()) {
            String percent = bound.toExact() + "%";
            below(right, bound).ifPresent(ids -> all.add(set("just below " + percent, right, ids)));
            reaching(right, bound).ifPresent(ids -> all.add(set("exactly " + percent, right, ids)));
        }
        return all;
    }

    private Set<Fraction> bounds() {
        Set<Fraction> bounds = new TreeSet<>();
        Grading grading = edition.assessment().grading();
        grading.bands().forEach(b -> bounds.add(b.from()));
        if (grading.pass() != null) {
            bounds.add(grading.pass());
        }
        edition.file().layout().awards().forEach(a -> bounds.add(a.from()));
        bounds.removeIf(b -> b.signum() <= 0);
        return bounds;
    }

    private static Proposed set(String name, Map<String, Answer> right, Set<String> ids) {
        Map<String, Object> answers = new LinkedHashMap<>();
        right.forEach((id, answer) -> {
            if (ids.contains(id)) {
                answers.put(id, JsonColumn.plain(AnswerJson.write(answer)));
            }
        });
        return new Proposed(name, answers);
    }

    /** The larger of what is found by adding the heavy answers first and by adding the light ones first. */
    private Optional<Set<String>> below(Map<String, Answer> right, Fraction bound) {
        return orders(right.keySet()).stream()
                .map(order -> belowIn(order, right, bound))
                .filter(ids -> !reaches(right, ids, bound))
                .max(Comparator.comparing(ids -> percent(right, ids)));
    }

    /** Answers are added as long as the bound is not reached; none of those left can be added without reaching it. */
    private Set<String> belowIn(List<String> order, Map<String, Answer> right, Fraction bound) {
        Set<String> ids = new LinkedHashSet<>();
        for (String id : order) {
            ids.add(id);
            if (reaches(right, ids, bound)) {
                ids.remove(id);
            }
        }
        return ids;
    }

    private Optional<Set<String>> reaching(Map<String, Answer> right, Fraction bound) {
        if (!reaches(right, right.keySet(), bound)) {
            return Optional.empty();
        }
        return orders(right.keySet()).stream()
                .map(order -> reachingIn(order, right, bound))
                .min(Comparator.comparing(ids -> percent(right, ids)));
    }

    /** Answers are taken off as long as the bound is reached; none of those left can go. */
    private Set<String> reachingIn(List<String> order, Map<String, Answer> right, Fraction bound) {
        Set<String> ids = new LinkedHashSet<>(right.keySet());
        for (String id : order) {
            ids.remove(id);
            if (!reaches(right, ids, bound)) {
                ids.add(id);
            }
        }
        return ids;
    }

    private List<List<String>> orders(Set<String> ids) {
        Map<String, Fraction> points = new LinkedHashMap<>();
        edition.items().forEach(i -> points.put(i.id(), i.points()));
        List<String> light = new ArrayList<>(ids);
        light.sort(Comparator.comparing(id -> points.getOrDefault(id, Fraction.ZERO)));
        List<String> heavy = new ArrayList<>(light);
        Collections.reverse(heavy);
        return List.of(light, heavy);
    }

    private boolean reaches(Map<String, Answer> right, Set<String> ids, Fraction bound) {
        return percent(right, ids).compareTo(bound) >= 0;
    }

    /** The rounded percent of these answers, all others blank; below everything where there is none. */
    private Fraction percent(Map<String, Answer> right, Set<String> ids) {
        List<Mark> marks = new ArrayList<>();
        for (Item item : edition.items()) {
            Answer answer = ids.contains(item.id()) ? right.get(item.id()) : null;
            marks.add(answer == null ? Mark.BLANK : edition.scorer(item).score(answer));
        }
        Fraction percent = outcome(marks).percent();
        return percent == null ? Fraction.of(-1) : percent;
    }
}
