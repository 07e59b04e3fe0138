package org.scholion.server.collect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** When the questions can be seen by students who have handed in, so that nobody is told what will be asked. */
@ExtendWith(Scholion.class)
class PaperAfterTest {
    @Test
    void the_paper_closes_on_handing_in_and_opens_when_the_last_sitting_has_closed(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Closed afterwards", "A");
        Instant tomorrow = Instant.now().plus(Duration.ofDays(1));
        lesson.teacher
                .post(
                        lesson.path("/sittings"),
                        Map.of("section", lesson.section("B"), "opens", tomorrow, "closes", tomorrow.plusSeconds(600)))
                .ok();
        Visitor noor = school.as("Noor Haddix");
        String paper = "/api/student/attempts/" + lesson.begin(noor);
        assertThat(noor.get(paper).body()).contains("Which knot makes a fixed loop?");
        noor.post(paper + "/hand-in", null).ok();
        isClosed(noor.get(paper).ok());
        lesson.isOver("A");
        isClosed(noor.get(paper).ok());
        lesson.isOver("B");
        assertThat(noor.get(paper).body()).contains("Which knot makes a fixed loop?");
    }

    @Test
    void the_paper_closes_when_time_is_up_before_anybody_takes_it_in(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "Time is up", "A", "B");
        Visitor noor = school.as("Noor Haddix");
        String paper = "/api/student/attempts/" + lesson.begin(noor);
        lesson.isOver("A");
        isClosed(noor.get(paper).ok());
    }

    @Test
    void the_teacher_says_when_the_questions_can_be_seen_again_and_it_holds_at_once(Scholion.Running school) {
        Lesson lesson = Lesson.given(school, "As the teacher says", "A")
                .sits("Noor Haddix", List.of("a"), "bowline", "10 nmi", "Because.");
        String paper = "/api/student/attempts/" + lesson.attempt("Noor Haddix");
        Visitor noor = school.as("Noor Haddix");
        isClosed(noor.get(paper).ok());
        lesson.paperAfter("AT_ONCE").ok();
        JsonNode open = noor.get(paper).ok();
        assertThat(open.get("open").booleanValue()).isTrue();
        assertThat(open.get("answers").get("q2").stringValue()).isEqualTo("bowline");
        lesson.paperAfter("NEVER").ok();
        isClosed(noor.get(paper).ok());
        lesson.isOver("A");
        isClosed(noor.get(paper).ok());
        lesson.paperAfter("SOMETIMES").isRefused(422);
        noor.put("/api/sittings/" + lesson.sitting() + "/paper-after", Map.of("paperAfter", "AT_ONCE"))
                .isRefused(403);
    }

    @Test
    void giving_out_can_say_it_from_the_first(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Said when given out");
        Instant now = Instant.now();
        lesson.teacher
                .post(
                        lesson.path("/sittings"),
                        Map.of(
                                "section", lesson.section("A"),
                                "opens", now.minusSeconds(60),
                                "closes", now.plusSeconds(3_600),
                                "paperAfter", "AT_ONCE"))
                .ok();
        lesson.sits("Noor Haddix", List.of("a"), null, null, null);
        assertThat(school.as("Noor Haddix")
                        .get("/api/student/attempts/" + lesson.attempt("Noor Haddix"))
                        .body())
                .contains("Which knot makes a fixed loop?");
    }

    private static void isClosed(JsonNode paper) {
        assertThat(paper.get("open").booleanValue()).isFalse();
        assertThat(paper.get("items")).isEmpty();
        assertThat(paper.get("questions")).isEmpty();
        assertThat(paper.get("answers")).isEmpty();
        assertThat(paper.toString()).doesNotContain("knot", "bowline");
    }
}
