package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import org.assertj.core.data.Offset;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.formats.json.Json;
import org.scholion.server.ledger.Standings;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Reckoner;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** After every kind of change every screen has the number that an independent computation has. */
@ExtendWith(Scholion.class)
class OneNumberTest {
    private static final Set<String> DEMO = Set.of(
            "Buoyage quick check",
            "Chartwork check 4",
            "Dead reckoning by hand",
            "Lights and shapes",
            "Meteorology practice",
            "Ropework and mooring",
            "Tides and tidal streams");
    private static final BigDecimal NEARLY = new BigDecimal("1e-12");

    private final Scholion.Running school;

    OneNumberTest(Scholion.Running school) {
        this.school = school;
    }

    /** An assessment as its teacher sees it. */
    private record Paper(Visitor teacher, String id) {
        static Paper of(Lesson lesson) {
            return new Paper(lesson.teacher, lesson.id);
        }

        String path(String rest) {
            return "/api/assessments/" + id + rest;
        }

        ObjectNode definition() {
            return teacher.get(path("/key")).ok().get("definition").deepCopy().asObject();
        }
    }

    @Test
    void every_screen_has_the_number_that_an_independent_computation_has_for_everything_of_the_demo() {
        Visitor aud = school.as("Aud Meller");
        int compared = 0;
        for (JsonNode course : aud.get("/api/courses").ok()) {
            for (JsonNode a : aud.get("/api/courses/" + course.get("id").stringValue() + "/assessments")
                    .ok()) {
                Paper paper = new Paper(aud, a.get("id").stringValue());
                String title = a.get("title").stringValue();
                if (DEMO.contains(title) && a.get("line").get("in").intValue() > 0) {
                    agree(paper, title);
                    compared++;
                }
            }
        }
        assertThat(compared).isEqualTo(DEMO.size());
    }

    @Test
    void every_screen_has_the_number_that_an_independent_computation_has_after_every_kind_of_change() {
        Lesson lesson = Lesson.given(school, "Reckoned", "A", "B", "C")
                .sits("Tamsin Orrel", List.of("a"), "rescue knot", "10 nmi", "Because.")
                .sits("Lotte Marrin", List.of("b"), "bowline", "10", "Moon.")
                .sits("Kofi Sande", List.of("a"), "", "ten", "")
                .sits("Noor Haddix", List.of(), "granny", "9 nmi", "The slope of the surface.")
                .sits("Yuki Tarn", List.of("a"), "bowline", "10 nmi", "Springs.");
        agree(Paper.of(lesson), "handed in");
        decide(lesson, "rescue knot", "1/2");
        agree(Paper.of(lesson), "settled");
        decide(lesson, "granny", "0");
        agree(Paper.of(lesson), "settled as wrong");
        lesson.undo().ok();
        agree(Paper.of(lesson), "a decision taken back");
        lesson.reads("Tamsin Orrel", "q4", reading("1", "0")).ok();
        lesson.reads("Yuki Tarn", "q4", reading("1", "1")).ok();
        agree(Paper.of(lesson), "read");
        lesson.undoesReading("Yuki Tarn", "q4").ok();
        agree(Paper.of(lesson), "a reading taken back");
        for (String how : List.of("drop", "creditAll", "creditAnswered", "bonus")) {
            adjusts(lesson, "q2", how);
            agree(Paper.of(lesson), "q2: " + how);
            adjusts(lesson, "q4", how);
            agree(Paper.of(lesson), "q4: " + how);
        }
        lesson.undo().ok();
        agree(Paper.of(lesson), "an adjustment taken back");
        grades(lesson, "{\"curve\": [{\"add\": \"7.5\"}]}");
        agree(Paper.of(lesson), "curve: added");
        grades(lesson, "{\"curve\": [{\"scaleTo\": \"95\"}, {\"root\": true}]}");
        agree(Paper.of(lesson), "curve: scaled, then its root");
        grades(lesson, "{\"bands\": [{\"from\": \"33.3\", \"label\": \"Half way\"}], \"pass\": \"33.3\"}");
        agree(Paper.of(lesson), "bands and pass mark");
        grades(lesson, "{\"late\": {\"perDay\": \"10%\", \"cap\": \"25%\"}}");
        lesson.teacher
                .put("/api/attempts/" + lesson.attempt("Tamsin Orrel") + "/late", Map.of("days", "2"))
                .ok();
        lesson.teacher
                .put("/api/attempts/" + lesson.attempt("Yuki Tarn") + "/late", Map.of("days", "4"))
                .ok();
        agree(Paper.of(lesson), "late");
        weighs(lesson, "70", "30");
        agree(Paper.of(lesson), "weights of parts");
        lesson.handsBack("Tamsin Orrel", "Lotte Marrin").ok();
        agree(Paper.of(lesson), "handed back");
        replies(lesson, "Tamsin Orrel", "q2", "1.5");
        agree(Paper.of(lesson), "a query answered with other points");
    }

    private static Map<String, Object> reading(String reasoning, String terms) {
        return Map.of("levels", Map.of("c1", reasoning, "c2", terms), "comment", "", "note", "", "hold", false);
    }

    private static void decide(Lesson lesson, String form, String credit) {
        lesson.teacher
                .post(lesson.path("/doubts"), lesson.decision("q2", form, credit, "EXACT"))
                .ok();
    }

    private static ObjectNode definition(Lesson lesson) {
        return Paper.of(lesson).definition();
    }

    private static void changes(Lesson lesson, ObjectNode definition) {
        lesson.teacher
                .post(lesson.path("/editions"), lesson.change(definition, "changed"))
                .ok();
    }

    private static void adjusts(Lesson lesson, String item, String how) {
        ObjectNode changed = definition(lesson);
        changed.putArray("adjustments").addObject().put("item", item).put("do", how);
        changes(lesson, changed);
    }

    private static void grades(Lesson lesson, String more) {
        ObjectNode changed = definition(lesson);
        changed.get("grading").asObject().setAll(Json.read(more).asObject());
        changes(lesson, changed);
    }

    private static void weighs(Lesson lesson, String first, String second) {
        ObjectNode changed = definition(lesson);
        var parts = changed.putArray("parts");
        parts.addObject().put("id", "A").put("title", "Short").put("weight", first);
        parts.addObject().put("id", "B").put("title", "Long").put("weight", second);
        changed.get("items")
                .forEach(i -> i.asObject().put("part", i.get("id").stringValue().equals("q4") ? "B" : "A"));
        changes(lesson, changed);
    }

    private void replies(Lesson lesson, String name, String item, String points) {
        Visitor student = school.as(name);
        String result = student.get("/api/student/results")
                .ok()
                .valueStream()
                .filter(r -> r.get("title").stringValue().equals(lesson.title()))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
        student.post("/api/student/results/" + result + "/queries", Map.of("item", item, "words", "Why?"))
                .ok();
        JsonNode query = lesson.teacher
                .get("/api/queries")
                .ok()
                .valueStream()
                .filter(q -> q.get("assessment").stringValue().equals(lesson.id))
                .findFirst()
                .orElseThrow();
        Map<String, Object> reply = Map.of(
                "words",
                "You are right.",
                "points",
                points,
                "saw",
                query.get("saw").stringValue());
        lesson.teacher
                .post("/api/queries/" + query.get("id").stringValue() + "/reply", reply)
                .ok();
    }

    /** A curve that looks at the whole sitting is computed afterwards. */
    private static void isCurved(Paper paper) {
        for (int i = 0;
                i < 100
                        && paper.teacher()
                                .get(paper.path("/hand-back"))
                                .ok()
                                .toString()
                                .contains("\"awaitsCurve\":true");
                i++) {
            LockSupport.parkNanos(100_000_000);
        }
    }

    /** Compares what every screen says of everybody with what is reckoned here from their marks alone. */
    private void agree(Paper paper, String after) {
        isCurved(paper);
        assertThat(school.bean(Standings.class).differences()).as(after).isEmpty();
        JsonNode back = paper.teacher().get(paper.path("/hand-back")).ok().get("students");
        Reckoner reckoner = new Reckoner(paper.definition());
        List<JsonNode> traces = new ArrayList<>();
        List<Reckoner.Total> totals = new ArrayList<>();
        int settle = 0;
        int read = 0;
        for (JsonNode line : back) {
            JsonNode trace = paper.teacher()
                    .get("/api/attempts/" + line.get("attempt").stringValue() + "/trace")
                    .ok();
            List<Reckoner.Marked> marks =
                    trace.get("items").valueStream().map(OneNumberTest::marked).toList();
            settle += (int) marks.stream()
                    .filter(m -> m.state().equalsIgnoreCase("settle") && reckoner.matters(m))
                    .count();
            read += (int) marks.stream()
                    .filter(m -> m.state().equalsIgnoreCase("read") && reckoner.matters(m))
                    .count();
            totals.add(reckoner.of(marks, Integer.parseInt(trace.get("daysLate").stringValue())));
            traces.add(trace);
        }
        List<@Nullable String> percents = reckoner.shown(
                totals,
                back.valueStream().map(l -> l.get("section").stringValue()).toList());
        Map<String, JsonNode> cells = cells(paper);
        for (int i = 0; i < totals.size(); i++) {
            JsonNode line = back.get(i);
            String attempt = line.get("attempt").stringValue();
            String who = after + ", " + line.get("name").stringValue();
            Reckoner.Total total = totals.get(i);
            String band = reckoner.band(percents.get(i));
            same(traces.get(i).get("standing"), total, percents.get(i), band, who + ": trace");
            same(line, total, percents.get(i), band, who + ": Hand back");
            same(cells.get(attempt), total, percents.get(i), band, who + ": gradebook");
            same(preview(paper, attempt), total, percents.get(i), band, who + ": the student’s page");
            assertThat(line.get("ready").booleanValue()).as(who).isEqualTo(!total.provisional());
        }
        assertThat(paper.teacher().get(paper.path("/doubts")).ok().get("doubts").intValue())
                .as(after)
                .isEqualTo(settle);
        assertThat(paper.teacher()
                        .get(paper.path("/readings"))
                        .ok()
                        .get("questions")
                        .valueStream()
                        .mapToInt(q -> q.get("unread").intValue())
                        .sum())
                .as(after)
                .isEqualTo(read);
        JsonNode line = paper.teacher().get(paper.path("")).ok().get("line");
        assertThat(line.get("doubts").intValue()).as(after).isEqualTo(settle);
        assertThat(line.get("unread").intValue()).as(after).isEqualTo(read);
        assertThat(line.get("in").intValue()).as(after).isEqualTo(totals.size());
        assertThat(line.get("ready").intValue() + line.get("handedBack").intValue())
                .as(after)
                .isGreaterThanOrEqualTo(
                        (int) totals.stream().filter(t -> !t.provisional()).count());
        examined(paper, totals, after);
        onTheDesk(paper, settle, read, after);
    }

    private static void examined(Paper paper, List<Reckoner.Total> totals, String after) {
        JsonNode view = paper.teacher().get(paper.path("/examine")).ok();
        BigDecimal mean = totals.stream()
                .map(Reckoner.Total::score)
                .reduce(BigDecimal.ZERO, BigDecimal::add)
                .divide(BigDecimal.valueOf(totals.size()), MathContext.DECIMAL64);
        String said = view.get("results").isNull()
                ? view.get("test").get("mean").get("value").asString()
                : view.get("results").get("mean").stringValue();
        assertThat(new BigDecimal(said))
                .as(after + ": Examine’s mean")
                .isCloseTo(mean, Offset.offset(new BigDecimal("0.005")));
    }

    private static void onTheDesk(Paper paper, int settle, int read, String after) {
        Map<String, Integer> piles = new HashMap<>();
        paper.teacher()
                .get("/api/desk")
                .ok()
                .get("piles")
                .valueStream()
                .filter(p -> p.get("assessment").stringValue().equals(paper.id()))
                .forEach(p ->
                        piles.merge(p.get("work").stringValue(), p.get("count").intValue(), Integer::sum));
        assertThat(piles.getOrDefault("SETTLE", 0)).as(after + ": Desk").isEqualTo(settle);
        assertThat(piles.getOrDefault("READ", 0)).as(after + ": Desk").isEqualTo(read);
    }

    private static JsonNode preview(Paper paper, String attempt) {
        return paper.teacher()
                .post(
                        "/api/attempts/" + attempt + "/result/preview",
                        Map.of(
                                "sees",
                                Map.of("score", true, "marks", true, "answers", true, "notes", true, "keys", false),
                                "messages",
                                List.of()))
                .ok();
    }

    private Map<String, JsonNode> cells(Paper paper) {
        String course =
                paper.teacher().get("/api/courses").ok().get(0).get("id").stringValue();
        JsonNode view =
                paper.teacher().get("/api/courses/" + course + "/gradebook").ok();
        int column = view.get("columns")
                .valueStream()
                .map(c -> c.get("assessment").stringValue())
                .toList()
                .indexOf(paper.id());
        Map<String, JsonNode> cells = new HashMap<>();
        view.get("rows").forEach(r -> {
            JsonNode cell = r.get("cells").get(column);
            if (cell != null && !cell.isNull()) {
                cells.put(cell.get("standing").get("attempt").stringValue(), cell.get("standing"));
            }
        });
        return cells;
    }

    private static Reckoner.Marked marked(JsonNode item) {
        JsonNode mark = item.get("mark");
        return new Reckoner.Marked(
                item.get("item").stringValue(),
                mark.get("state").stringValue(),
                Reckoner.number(mark.get("points").stringValue()));
    }

    private static void same(
            JsonNode said, Reckoner.Total total, @Nullable String percent, @Nullable String band, String where) {
        assertThat(Reckoner.number(said.get("score").stringValue())
                        .subtract(total.score())
                        .abs())
                .as(where + ": " + said + total)
                .isLessThan(NEARLY);
        assertThat(Reckoner.number(said.get("possible").stringValue()))
                .as(where)
                .isEqualByComparingTo(total.possible());
        assertThat(said.get("percent").asString(null)).as(where).isEqualTo(percent);
        assertThat(said.get("band").asString(null)).as(where).isEqualTo(band);
        if (said.has("provisional")) {
            assertThat(said.get("provisional").booleanValue()).as(where).isEqualTo(total.provisional());
        }
    }
}
