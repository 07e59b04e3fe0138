package org.scholion.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.scholion.server.testing.Scholion;
import org.scholion.server.testing.Visitor;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/** A request that carries a key is done once, however often it comes. */
@ExtendWith(Scholion.class)
class OnceOnlyTest {
    private static final String WHERE = "/api/assessments";

    private static Map<String, Object> named(Visitor aud, String title) {
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        return Map.of("course", course, "title", title);
    }

    private static int made(JdbcClient db, String title) {
        return db.sql("select count(*) from assessment where title = ?")
                .param(title)
                .query(Integer.class)
                .single();
    }

    @Test
    void a_repeat_is_answered_with_what_the_first_was_answered(Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        String key = UUID.randomUUID().toString();
        Map<String, Object> body = named(aud, "Once");
        JsonNode first = aud.postAgain(WHERE, body, key).ok();
        assertThat(aud.postAgain(WHERE, body, key).ok()).isEqualTo(first);
        assertThat(made(db, "Once")).isEqualTo(1);
        // Somebody else's key is another key.
        assertThat(school.as("Halvard Quist").postAgain(WHERE, body, key).body())
                .doesNotContain(first.get("id").stringValue());
    }

    @Test
    void the_same_key_with_something_else_in_it_is_refused_and_changes_nothing(Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        String key = UUID.randomUUID().toString();
        aud.postAgain(WHERE, named(aud, "Said first"), key).ok();
        Visitor.Reply other =
                aud.postAgain(WHERE, named(aud, "Said second"), key).isRefused(422);
        assertThat(other.body()).contains("key-reused");
        assertThat(made(db, "Said second")).isZero();
    }

    @Test
    void eight_at_once_with_one_key_are_all_answered_alike(Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        String key = UUID.randomUUID().toString();
        Map<String, Object> body = named(aud, "Eight at once");
        Set<String> answers = IntStream.range(0, 8)
                .parallel()
                .mapToObj(i -> aud.postAgain(WHERE, body, key).ok().get("id").stringValue())
                .collect(Collectors.toSet());
        assertThat(answers).hasSize(1);
        assertThat(made(db, "Eight at once")).isEqualTo(1);
    }

    @Test
    void what_failed_may_come_again_with_its_key(Scholion.Running school, JdbcClient db) {
        Visitor aud = school.as("Aud Meller");
        String key = UUID.randomUUID().toString();
        String course = aud.get("/api/courses").ok().get(0).get("id").stringValue();
        aud.postAgain(WHERE, Map.of("course", course), key).isRefused(422);
        aud.postAgain(WHERE, named(aud, "After a slip"), key).ok();
        assertThat(made(db, "After a slip")).isEqualTo(1);
    }

    @Test
    void what_a_node_that_is_gone_never_answered_is_done_after_a_while_and_old_answers_are_forgotten(
            Scholion.Running school, JdbcClient db, IdempotentRequests requests) {
        UUID aud = db.sql("select id from person where given = 'Aud'")
                .query(UUID.class)
                .single();
        assertThat(requests.claim(aud, "gone", "x")).isTrue();
        assertThat(requests.claim(aud, "gone", "x")).isFalse();
        for (String age : List.of("4 minutes", "6 minutes")) {
            db.sql("update idempotent_request set at = now() - cast(? as interval) where key = 'gone'")
                    .param(age)
                    .update();
            assertThat(requests.claim(aud, "gone", "x")).as(age).isEqualTo(age.equals("6 minutes"));
        }
        db.sql("update idempotent_request set at = ? where key = 'gone'")
                .param(java.sql.Timestamp.from(Instant.now().minusSeconds(90_000)))
                .update();
        requests.forgetOld();
        assertThat(requests.find(aud, "gone")).isEmpty();
    }
}
