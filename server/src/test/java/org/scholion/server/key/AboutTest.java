package org.scholion.server.key;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Together;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** A description, a code and labels: who may say them, and that an assessment is found by them. */
@ExtendWith(Scholion.class)
class AboutTest {
    private static Map<String, Object> said(String code, int revision, String... labels) {
        return Map.of(
                "description",
                "Set in the week of equinox",
                "code",
                code,
                "labels",
                List.of(labels),
                "revision",
                revision);
    }

    private static Visitor.Reply says(Lesson lesson, String code, int revision, String... labels) {
        return lesson.teacher.put(lesson.path("/about"), said(code, revision, labels));
    }

    private static List<String> found(Visitor who, String words, Lesson lesson) {
        return who.get("/api/find?words=" + words)
                .ok()
                .valueStream()
                .filter(f -> f.get("id").stringValue().equals(lesson.id))
                .map(f -> f.get("kind").stringValue())
                .toList();
    }

    @Test
    void an_assessment_is_found_by_its_code_a_label_or_its_description(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Found by more than its title");
        assertThat(found(lesson.teacher, "fbm-7", lesson)).isEmpty();
        says(lesson, "FBM-7", 0, "lee  shore", "Lee Shore", " ", "mock").ok();
        JsonNode about = lesson.teacher.get(lesson.path("/about")).ok();
        assertThat(about.get("labels").valueStream().map(JsonNode::stringValue)).containsExactly("lee shore", "mock");
        for (String words : List.of("fbm-7", "lee%20sho", "equinox", "than%20its")) {
            assertThat(found(lesson.teacher, words, lesson)).as(words).containsExactly("assessment");
        }
        String course = lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
        JsonNode line = lesson.teacher
                .get("/api/courses/" + course + "/assessments")
                .ok()
                .valueStream()
                .filter(a -> a.get("id").stringValue().equals(lesson.id))
                .findFirst()
                .orElseThrow();
        assertThat(line.get("about").get("code").stringValue()).isEqualTo("FBM-7");

        Lesson second = Lesson.written(school, "Spelled as the school spells");
        says(second, "", 0, "LEE SHORE").ok();
        assertThat(second.teacher
                        .get(second.path("/about"))
                        .ok()
                        .get("labels")
                        .get(0)
                        .stringValue())
                .isEqualTo("lee shore");
    }

    @Test
    void a_code_is_unique_in_the_school_also_when_two_want_it_at_once(Scholion.Running school) {
        Lesson one = Lesson.written(school, "One with a code");
        Lesson two = Lesson.written(school, "Two with a code");
        List<Integer> answers = Together.times(
                2,
                i -> says(i == 0 ? one : two, i == 0 ? "twice-1" : "TWICE-1", 0).status());
        assertThat(answers).containsOnlyOnce(200);
        assertThat(answers).allMatch(s -> s == 200 || s == 409 || s == 422);
        Lesson third = Lesson.written(school, "Third with a code");
        assertThat(says(third, "Twice-1", 0).isRefused(422).body())
                .as("in whatever case, in words")
                .contains("another assessment of your school has this code");
        for (String bad : List.of("a", "has space", "-x", "x".repeat(25))) {
            int revision =
                    one.teacher.get(one.path("/about")).ok().get("revision").intValue();
            assertThat(says(one, bad, revision).isRefused(422).body()).contains("code");
        }
    }

    @Test
    void who_changed_it_meanwhile_is_not_written_over_and_the_key_does_not_notice(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "About and key apart");
        int key = lesson.teacher.get(lesson.path("/key")).ok().get("revision").intValue();
        says(lesson, "apart-1", 0, "mock").ok();
        assertThat(says(lesson, "apart-2", 0).isRefused(409).body()).contains("apart-1");
        says(lesson, "apart-2", 1).ok();
        assertThat(lesson.teacher.get(lesson.path("/key")).ok().get("revision").intValue())
                .isEqualTo(key);
    }

    @Test
    void it_is_for_those_who_may_use_the_key_and_changed_by_those_who_may_edit_it(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "Shared with its labels");
        says(lesson, "swil-1", 0, "shared thing").ok();
        Colleague uses = Colleague.called(school, "Uses");
        uses.visitor().get(lesson.path("/about")).isRefused(404);
        assertThat(found(uses.visitor(), "swil-1", lesson)).isEmpty();
        school.as("Noor Haddix").get(lesson.path("/about")).isRefused(403);
        String share = "/api/shares/ASSESSMENT/" + lesson.id + "/" + uses.id();
        lesson.teacher.put(share, Map.of("mayEdit", false)).ok();
        assertThat(uses.visitor().get(lesson.path("/about")).ok().get("code").stringValue())
                .isEqualTo("swil-1");
        uses.visitor().put(lesson.path("/about"), said("swil-2", 1)).isRefused(404);
        assertThat(found(uses.visitor(), "shared%20thing", lesson)).containsExactly("key to copy");
        assertThat(uses.visitor()
                        .get("/api/shared-keys")
                        .ok()
                        .get(0)
                        .get("about")
                        .get("labels")
                        .get(0)
                        .stringValue())
                .isEqualTo("shared thing");
        lesson.teacher.put(share, Map.of("mayEdit", true)).ok();
        assertThat(found(uses.visitor(), "swil-1", lesson)).containsExactly("shared key");
        uses.visitor().put(lesson.path("/about"), said("swil-2", 1)).ok();
    }

    @Test
    void a_copy_keeps_the_labels_and_leaves_the_code_with_the_first(Scholion.Running school) {
        Lesson lesson = Lesson.written(school, "To be copied with labels");
        says(lesson, "tbc-1", 0, "copied").ok();
        String course = lesson.teacher.get(lesson.path("")).ok().get("course").stringValue();
        String copy = lesson.teacher
                .post("/api/courses/" + course + "/copies", Map.of("assessment", lesson.id))
                .ok()
                .get("id")
                .stringValue();
        JsonNode about =
                lesson.teacher.get("/api/assessments/" + copy + "/about").ok();
        assertThat(about.get("code").stringValue()).isEmpty();
        assertThat(about.get("labels").get(0).stringValue()).isEqualTo("copied");
        assertThat(about.get("description").stringValue()).contains("equinox");
    }
}
