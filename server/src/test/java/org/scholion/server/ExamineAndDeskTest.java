package org.scholion.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

@ExtendWith(Scholion.class)
class ExamineAndDeskTest {
    private static Lesson four(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A")
                .sits("Tamsin Orrel", List.of("a"), "bowline", "10 nmi", null)
                .sits("Noor Haddix", List.of("a"), "bowline", "7 nmi", null)
                .sits("Dov Kessler", List.of("b"), "bowline", "7 nmi", null)
                .sits("Lotte Marrin", List.of("b"), null, "7 nmi", null);
    }

    @Test
    void the_item_table_and_the_figures_of_the_paper_are_those_of_the_textbook(Scholion.Running school) {
        Lesson lesson = four(school, "Figures");
        JsonNode view = lesson.teacher.get(lesson.path("/examine")).ok();
        assertThat(view.get("test").get("n").intValue()).isEqualTo(4);
        assertThat(view.get("test").get("mean").get("value").doubleValue())
                .as("5 3 2 0")
                .isEqualTo(2.5);
        assertThat(view.get("possible").stringValue()).isEqualTo("10");
        assertThat(view.get("items")
                        .get(0)
                        .get("measures")
                        .get("difficulty")
                        .get("value")
                        .doubleValue())
                .isEqualTo(0.5);
        assertThat(view.get("items")
                        .get(1)
                        .get("measures")
                        .get("blank")
                        .get("value")
                        .doubleValue())
                .isEqualTo(0.25);
        assertThat(view.get("items")
                        .get(3)
                        .get("measures")
                        .get("itemRest")
                        .get("missing")
                        .stringValue())
                .isEqualTo("all have the same score on it");
        assertThat(view.get("tenths").valueStream().mapToInt(JsonNode::intValue))
                .containsExactly(1, 0, 1, 1, 0, 1, 0, 0, 0, 0);
        assertThat(view.get("below").valueStream().map(b -> b.get("name").stringValue()))
                .containsExactly("Lotte Marrin", "Dov Kessler", "Noor Haddix", "Tamsin Orrel");
    }

    @Test
    void before_anybody_has_answered_every_figure_says_why_it_is_missing(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "No figures yet", "C");
        JsonNode test = lesson.teacher.get(lesson.path("/examine")).ok().get("test");
        assertThat(test.get("n").intValue()).isZero();
        assertThat(test.get("mean").get("value").isNull()).isTrue();
        assertThat(test.get("mean").get("missing").stringValue()).isEqualTo("nobody has answered yet");
    }

    @Test
    void the_line_counts_what_remains_for_one_section_and_for_all(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Counting", "A", "B")
                .sits("Tamsin Orrel", null, "granny knot", null, "Because.")
                .sits("Kofi Sande", null, null, null, "Since.");
        JsonNode all = lesson.teacher.get(lesson.path("")).ok().get("line");
        assertThat(all.get("in").intValue()).isEqualTo(2);
        assertThat(all.get("doubts").intValue()).isEqualTo(1);
        assertThat(all.get("unread").intValue()).isEqualTo(2);
        JsonNode b = lesson.teacher
                .get(lesson.path("?section=" + lesson.section("B")))
                .ok()
                .get("line");
        assertThat(b.get("in").intValue()).isEqualTo(1);
        assertThat(b.get("doubts").intValue()).isZero();
        assertThat(b.get("expected").intValue()).isEqualTo(28);
    }

    @Test
    void the_finder_finds_students_assessments_questions_and_standards(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        assertThat(kinds(aud, "haddix")).contains("student");
        assertThat(kinds(aud, "Chartwork+check")).contains("assessment");
        assertThat(kinds(aud, "spring+tide")).contains("question");
        assertThat(kinds(aud, "tidal+curve")).contains("standard");
        assertThat(kinds(aud, "%25")).as("a percent sign is only a sign").isEmpty();
        assertThat(kinds(aud, "")).isEmpty();
    }

    private static List<String> kinds(Visitor aud, String words) {
        return aud.get("/api/find?words=" + words)
                .ok()
                .valueStream()
                .map(f -> f.get("kind").stringValue())
                .distinct()
                .toList();
    }

    @Test
    void whoever_watches_hears_of_an_answer_at_once(Scholion.Running school) throws Exception {
        Lesson lesson = Lesson.given(school, "Heard", "A");
        Visitor mina = school.as("Gideon Jarvik");
        String attempt = lesson.begin(mina);
        var stream = lesson.teacher.stream(lesson.path("/live"));
        try (BufferedReader reader = new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8))) {
            CompletableFuture<Boolean> heard =
                    CompletableFuture.supplyAsync(() -> reader.lines().anyMatch(line -> line.equals("data:changed")));
            Lesson.answer(mina, attempt, "q2", "bowline").ok();
            assertThat(heard.get(10, TimeUnit.SECONDS)).isTrue();
        }
    }

    @Test
    void frameworks_are_trees_and_courses_have_their_sections(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        List<JsonNode> versions = aud.get("/api/frameworks")
                .ok()
                .valueStream()
                .filter(f -> f.get("title").stringValue().equals("Coastal Skills"))
                .toList();
        assertThat(versions).extracting(f -> f.get("version").stringValue()).containsExactly("2", "1");
        JsonNode tree = aud.get("/api/frameworks/" + versions.get(0).get("id").stringValue())
                .ok();
        assertThat(tree.get("definition")
                        .get("standards")
                        .valueStream()
                        .map(s -> s.path("parent").asString("")))
                .contains("T2");
        JsonNode course = aud.get("/api/courses/"
                        + aud.get("/api/courses").ok().get(0).get("id").stringValue())
                .ok();
        assertThat(course.get("sections").valueStream().map(s -> s.get("name").stringValue()))
                .contains("Section A", "Section B", "Section C");
    }

    @Test
    void what_is_not_there_is_not_found_and_nonsense_is_a_bad_request(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        aud.get("/api/assessments/00000000-0000-7000-8000-000000000000/key").isRefused(404);
        aud.get("/api/assessments/nonsense/key").isRefused(404);
        aud.post("/api/assessments", "nonsense").isRefused(400);
        aud.get("/api/no/such/thing").isRefused(404);
        assertThat(aud.get("/any/page/of/the/application").body())
                .as("the page routes itself")
                .contains("<title>Scholion</title>");
    }
}
