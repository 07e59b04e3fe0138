package org.scholion.server.bank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Colleague;
import org.scholion.server.testing.Lesson;
import org.scholion.server.testing.Scholion;
import tools.jackson.databind.JsonNode;

/** Whoever writes a key is told what students wrote to the same question before, and how it was decided. */
@ExtendWith(Scholion.class)
class EarlierAnswersTest {
    private static List<String> earlier(Lesson lesson, String item) {
        return lesson.teacher
                .get(lesson.path("/items/" + item + "/earlier-answers"))
                .ok()
                .valueStream()
                .map(a -> a.get("text").stringValue() + " " + a.get("credit").stringValue() + " "
                        + a.get("count").intValue())
                .toList();
    }

    @Test
    void answers_that_were_decided_are_told_where_the_question_is_used_again(Scholion.Running school) {
        Lesson first = Lesson.given(school, "Decided before", "A")
                .sits("Noor Haddix", null, "rescue loop", null, null)
                .sits("Lotte Marrin", null, "Rescue loop", null, null)
                .sits("Oona Rusk", null, "granny knot", null, null);
        assertThat(earlier(first, "q2")).as("nothing is decided yet").isEmpty();
        for (Map.Entry<String, String> one :
                Map.of("rescue loop", "1", "granny knot", "1/2").entrySet()) {
            first.teacher
                    .post(first.path("/doubts"), first.decision("q2", one.getKey(), one.getValue(), "THESE"))
                    .ok();
        }
        assertThat(earlier(first, "q2")).containsExactly("rescue loop 1 2", "granny knot 0.5 1");
        assertThat(earlier(first, "q3")).isEmpty();

        JsonNode item = Lesson.definition("x").get("items").get(1);
        Map<String, Object> kept = new HashMap<>();
        kept.put("definition", Lesson.plain(item));
        kept.put("assessment", first.id);
        String bank = first.teacher.post("/api/bank/items", kept).ok().get("id").stringValue();
        Lesson second = Lesson.written(school, "Decided before, used again");
        String put = second.teacher
                .post("/api/bank/put", Map.of("assessment", second.id, "items", List.of(bank)))
                .ok()
                .get("items")
                .get(0)
                .stringValue();
        assertThat(earlier(second, put)).containsExactly("rescue loop 1 2", "granny knot 0.5 1");

        Colleague other = Colleague.called(school, "Curious");
        first.teacher
                .put("/api/shares/ASSESSMENT/" + second.id + "/" + other.id(), Map.of("mayEdit", true))
                .ok();
        other.visitor().get(second.path("/items/" + put + "/earlier-answers")).isRefused(404);
        school.as("Noor Haddix")
                .get(second.path("/items/" + put + "/earlier-answers"))
                .isRefused(403);
    }
}
