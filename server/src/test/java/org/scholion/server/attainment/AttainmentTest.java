package org.scholion.server.attainment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Counting;
import org.scholion.server.testing.Crowd;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import tools.jackson.databind.JsonNode;

/** Attainment over a course: a school's own framework and course, so that the demo's marks are not in it. */
@ExtendWith(Scholion.class)
class AttainmentTest {
    private record Made(Visitor aud, String course, String framework) {
        String path(String rest) {
            return "/api/courses/" + course + "/attainment" + rest;
        }

        JsonNode row(JsonNode view, String code) {
            return view.get("standards")
                    .valueStream()
                    .filter(s -> s.get("code").stringValue().equals(code))
                    .findFirst()
                    .orElseThrow();
        }

        JsonNode cell(JsonNode view, String family, String code) {
            int at = 0;
            for (JsonNode student : view.get("students")) {
                if (student.get("family").stringValue().equals(family)) {
                    return row(view, code).get("cells").get(at);
                }
                at++;
            }
            throw new AssertionError("no student " + family);
        }
    }

    private static Made made(Scholion.Running school) {
        Visitor aud = school.as("Aud Meller");
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        JsonNode view = aud.get("/api/courses/" + course + "/attainment").ok();
        return new Made(aud, course, view.get("framework").stringValue());
    }

    /** A question on S1 that is right for Noor, wrong for Asa, and waits for Lotte. */
    private static Lesson knots(Scholion.Running school, String title) {
        return Lesson.given(school, title, "A")
                .sits("Noor Haddix", List.of("a"), "bowline", null, null)
                .sits("Asa Quayle", List.of("a"), null, null, null)
                .sits("Lotte Marrin", List.of("a"), "some knot or other", null, null);
    }

    private static int pieces(Made made, String family) {
        JsonNode cell = made.cell(made.aud().get(made.path("")).ok(), family, "S1");
        return cell.isNull() ? 0 : cell.get("pieces").intValue();
    }

    @Test
    void decided_marks_are_evidence_for_a_standard_and_all_above_it_and_what_waits_is_none(Scholion.Running school) {
        Made made = made(school);
        int noor = pieces(made, "Haddix");
        int lotte = pieces(made, "Marrin");
        JsonNode before = made.row(made.aud().get(made.path("")).ok(), "S");
        knots(school, "Knots for a standard");
        JsonNode view = made.aud().get(made.path("")).ok();
        assertThat(pieces(made, "Haddix")).isEqualTo(noor + 1);
        assertThat(pieces(made, "Marrin")).as("a doubt shows nothing yet").isEqualTo(lotte);
        JsonNode above = made.row(view, "S");
        assertThat(above.get("asked").intValue()).isEqualTo(before.get("asked").intValue() + 1);
        assertThat(above.get("depth").intValue()).isZero();
        assertThat(made.row(view, "S1").get("depth").intValue()).isEqualTo(1);
        assertThat(view.get("papers").valueStream().map(p -> p.get("title").stringValue()))
                .contains("Knots for a standard");
    }

    @Test
    void a_cell_opens_its_evidence_down_to_the_marks_and_says_how_it_came_about(Scholion.Running school) {
        Made made = made(school);
        Lesson lesson = knots(school, "Knots opened");
        JsonNode view = made.aud().get(made.path("")).ok();
        String asa = idOf(view, "Quayle");
        JsonNode told = made.aud()
                .get(made.path("/evidence?framework=" + made.framework() + "&code=S1&student=" + asa))
                .ok();
        assertThat(told.get("percent"))
                .isEqualTo(made.cell(view, "Quayle", "S1").get("percent"));
        assertThat(told.get("because").stringValue()).contains("point").contains("assessment");
        JsonNode paper = told.get("papers")
                .valueStream()
                .filter(p -> p.get("assessment").stringValue().equals(lesson.id))
                .findFirst()
                .orElseThrow();
        assertThat(paper.get("percent").stringValue()).isEqualTo("0");
        assertThat(paper.get("questions").get(0).get("item").stringValue()).isEqualTo("q2");
        assertThat(paper.get("questions").get(0).get("mark").get("state").stringValue())
                .isEqualTo("blank");
        JsonNode all = made.aud()
                .get(made.path("/evidence?framework=" + made.framework() + "&code=S1"))
                .ok();
        assertThat(all.get("papers").get(0).get("attempt").isNull())
                .as("of nobody in particular")
                .isTrue();
        assertThat(made.aud()
                        .get(made.path("/evidence?framework=" + made.framework() + "&code=nowhere"))
                        .status())
                .isEqualTo(404);
        assertThat(made.aud()
                        .get(made.path("/evidence?framework=" + UUID.randomUUID() + "&code=S1"))
                        .status())
                .isEqualTo(404);
    }

    private static String idOf(JsonNode view, String family) {
        return view.get("students")
                .valueStream()
                .filter(s -> s.get("family").stringValue().equals(family))
                .findFirst()
                .orElseThrow()
                .get("id")
                .stringValue();
    }

    private static Map<String, Object> way(String kind, int minEvidence, String... fromAndLabel) {
        Map<String, Object> way = new HashMap<>(Map.of("kind", kind, "n", 1, "of", 5, "weight", "0.65"));
        way.put("minEvidence", minEvidence);
        List<Map<String, String>> levels = new java.util.ArrayList<>();
        for (int i = 0; i < fromAndLabel.length; i += 2) {
            levels.add(Map.of("from", fromAndLabel[i], "label", fromAndLabel[i + 1]));
        }
        way.put("levels", levels);
        return way;
    }

    @Test
    void the_schools_own_levels_and_way_move_what_is_shown_and_a_colleagues_change_is_not_overwritten(
            Scholion.Running school) {
        Made made = made(school);
        knots(school, "Knots and levels");
        String rule = "/api/frameworks/" + made.framework() + "/attainment-rule";
        JsonNode was = made.aud().get(rule).ok();
        int revision = was.get("revision").intValue();
        try {
            JsonNode saved = made.aud()
                    .put(rule, Map.of("way", way("BEST", 1, "100", " moored ", "0", "adrift"), "revision", revision))
                    .ok();
            JsonNode view = made.aud().get(made.path("?bound=1")).ok();
            JsonNode noor = made.cell(view, "Haddix", "S1");
            assertThat(noor.get("percent").stringValue()).as("the best counts").isEqualTo("100");
            assertThat(noor.get("level").intValue()).isEqualTo(1);
            assertThat(view.get("way").get("levels").get(1).get("label").stringValue())
                    .isEqualTo("moored");
            JsonNode row = made.row(view, "S1");
            List<Integer> below =
                    row.get("below").valueStream().map(JsonNode::intValue).toList();
            for (int at = 0; at < row.get("cells").size(); at++) {
                JsonNode cell = row.get("cells").get(at);
                boolean moored =
                        !cell.isNull() && cell.get("percent").stringValue().equals("100");
                assertThat(below.contains(at)).isEqualTo(!cell.isNull() && !moored);
                assertThat(!cell.isNull() && cell.path("level").asInt(-1) == 1).isEqualTo(moored);
            }
            assertThat(made.aud()
                            .put(rule, Map.of("way", way("SHARE", 1, "0", "x"), "revision", revision))
                            .status())
                    .as("the same change again")
                    .isEqualTo(409);
            JsonNode many = made.aud()
                    .put(
                            rule,
                            Map.of(
                                    "way",
                                    way("BEST", 50, "0", "adrift"),
                                    "revision",
                                    saved.get("revision").intValue()))
                    .ok();
            assertThat(made.cell(made.aud().get(made.path("")).ok(), "Haddix", "S1")
                            .get("level")
                            .isNull())
                    .as("too little evidence for a level")
                    .isTrue();
            revision = many.get("revision").intValue();
        } finally {
            Map<String, Object> back = new HashMap<>();
            back.put("way", Lesson.plain(was.get("way")));
            back.put("revision", made.aud().get(rule).ok().get("revision").intValue());
            made.aud().put(rule, back).ok();
        }
    }

    @Test
    void a_way_that_cannot_be_names_its_place(Scholion.Running school) {
        Made made = made(school);
        String rule = "/api/frameworks/" + made.framework() + "/attainment-rule";
        int revision = made.aud().get(rule).ok().get("revision").intValue();
        Map<String, Object> heavy = way("DECAY", 1, "0", "x");
        heavy.put("weight", "2");
        Map<String, Object> most = way("COUNT", 1, "0", "x");
        most.put("n", 9);
        Map<Map<String, Object>, String> wrong = Map.of(
                way("SHARE", 1),
                "levels",
                way("SHARE", 0, "0", "x"),
                "minEvidence",
                way("SHARE", 1, "0", "x", "0", "y"),
                "levels[1].from",
                way("SHARE", 1, "101", "x"),
                "levels[0].from",
                way("SHARE", 1, "ten", "x"),
                "levels[0].from",
                way("SHARE", 1, "0", " "),
                "levels[0].label",
                heavy,
                "weight",
                most,
                "n");
        wrong.forEach((way, place) -> {
            Visitor.Reply reply = made.aud().put(rule, Map.of("way", way, "revision", revision));
            assertThat(reply.status()).as(place).isEqualTo(422);
            assertThat(reply.body()).as(place).contains("\"" + place + "\"");
        });
        assertThat(made.aud().get(rule).ok().get("revision").intValue()).isEqualTo(revision);
    }

    @Test
    void a_student_sees_only_what_was_handed_back_and_a_colleague_nothing(Scholion.Running school) {
        Made made = made(school);
        Visitor lotte = school.as("Wanda Ambler");
        int before = shown(lotte, "S1");
        Lesson lesson = Lesson.given(school, "Knots handed back", "A")
                .sits("Wanda Ambler", List.of("a"), "bowline", null, null);
        assertThat(shown(lotte, "S1")).as("not handed back yet").isEqualTo(before);
        lesson.handsBack("Wanda Ambler").ok();
        assertThat(shown(lotte, "S1"))
                .as("standards are not shown unless chosen")
                .isEqualTo(before);
        lesson.handsBackWithStandards("Wanda Ambler").ok();
        assertThat(shown(lotte, "S1")).isEqualTo(before + 1);
        assertThat(lotte.get(made.path("")).status()).isEqualTo(403);
        Visitor colleague = Colleague.called(school, "Standa").visitor();
        assertThat(colleague.get(made.path("")).status()).isEqualTo(404);
        assertThat(colleague
                        .get(made.path("/evidence?framework=" + made.framework() + "&code=S1"))
                        .status())
                .isEqualTo(404);
    }

    @Test
    void however_many_assessments_and_attempts_there_are_they_are_read_in_a_few_statements(Scholion.Running school) {
        Made made = made(school);
        Lesson lesson = knots(school, "Knots counted");
        Crowd.at(school, lesson, "A", 300);
        Counting counting = school.bean(Counting.class);
        String evidence = "/evidence?code=S1&framework=" + made.framework();
        String noor = idOf(made.aud().get(made.path("")).ok(), "Haddix");
        for (String path : List.of("", evidence, evidence + "&student=" + noor)) {
            made.aud().get(made.path(path)).ok();
            assertThat(counting.of(() -> made.aud().get(made.path(path)).ok()).statements())
                    .as(path)
                    .isLessThanOrEqualTo(20);
        }
    }

    private static int shown(Visitor student, String code) {
        return student.get("/api/student/can-do")
                .ok()
                .valueStream()
                .flatMap(c -> c.get("standards").valueStream())
                .filter(s -> s.get("code").stringValue().equals(code))
                .mapToInt(s -> s.get("pieces").intValue())
                .sum();
    }
}
